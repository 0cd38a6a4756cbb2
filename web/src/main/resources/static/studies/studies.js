// Nothing beyond what every page has.
