"""Drawings and sheets, as SVG and PDF."""
