// Nothing to do: links alone.
