"""The line's own words, as they are printed and as they may be typed: read strictly, asked where
something is open."""
