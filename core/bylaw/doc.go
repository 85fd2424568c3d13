// Package bylaw applies the rules of authorities that an angler entered: whether a fish may be kept, what is left of
// the bag, what may be tied on, and where nothing may be fished for. It ships no law. Where nothing is entered the
// answer is "not known", which never means that it is allowed.
//
// Three rules of the house: the strictest of all rules that hold counts; a rule of a part of an authority's own water
// stands, in size and in number, instead of that authority's rule for the whole; and what is not measured, or measured
// another way, is decided only where it can be.
package bylaw
