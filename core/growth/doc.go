// Package growth is what the same fish, and many of one kind, tell by their measures: weight for length, how fat a fish
// is for its length, how much one that came again has grown and how far it went.
//
// Weight for length is ln W = ln a + b · ln L, fitted by least squares (Le Cren 1951); checked against R 4.2.2 (lm).
package growth
