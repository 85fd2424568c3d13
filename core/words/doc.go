// Package words holds what the core says to a person: every sentence and phrase, whole, with
// holes for what changes, one file a package that says them. Another language is another
// text for each of these names. Vocabulary (kinds of place, marks, stages…) is a value as
// much as a word and stays with its type; the book's own words stand in the book; errors
// stand where they arise.
package words
