"""The drawer: what a builder owns, or is looking at, and in which build each thing is."""
