package store

// OpenKnowing is [Open] for a program that knows documents up to another version.
var OpenKnowing = open
