"""A supply, cards and coolers in a case: room, air, the drawing."""
