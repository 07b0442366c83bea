"""The bench: what was done when and by whom, and photos of it; a record that outlasts the map."""
