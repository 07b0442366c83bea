"""Tables of constants, one topic a file, each row with its source."""
