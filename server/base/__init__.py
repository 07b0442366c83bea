"""What every app of the server stands on: writing, problems, formats, what is kept."""
