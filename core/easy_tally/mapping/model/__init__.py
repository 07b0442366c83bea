"""What the solver is asked: inputs, cables, ports and ways of using them, as classes."""
