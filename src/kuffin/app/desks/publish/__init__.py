"""The Publish desk: the page, what will be asked, pictures, tables and raw data."""
