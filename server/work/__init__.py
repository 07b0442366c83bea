"""Who maps: workers that need nothing but a broker. No Django here: a job carries all that it
needs, and only its asker writes what came of it."""
