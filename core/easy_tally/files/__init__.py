"""Files: text in, text out. Nothing here opens one."""
