"""What stands in where nobody knows a figure."""
