"""What one can read at the bench: a page for each desk, the words, the methods. The texts are Kuffin's own."""
