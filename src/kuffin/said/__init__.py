"""The words for it: the verdict line, sentences, and the working of every number."""
