"""What takes longer than a request: maps, in a process of their own."""
