"""Tables: a row a thing, as CSV."""
