// Package playbook holds the rules of thumb: what multiplies the catch rate,
// when it applies and how sure the trade is of it; and the targets, offerings,
// rigs and schools the rules speak of.
//
// A rule says in words how strong it is and how certain; words.go turns both
// into a log-normal prior. When a rule applies is a small typed condition over
// facts.go: soft thresholds with units, words, all, any, not. Its weight lies
// between 0 and 1. What is said of a target becomes rules of its own
// (targetrules.go); a rule of a school speaks only while its position is taken.
//
// Loading is strict: an unknown key, a word outside the vocabulary, a missing
// unit is an error with file and line. An angler's own targets, rules, changes and
// positions lie over the book ([Book.Over]) and survive its updates; lint.go finds
// what in them can hardly be meant.
//
// [Book.Weights] weighs all rules at one place and moment, a [Sieve] what is left of
// them once a place is settled, [Tables] those of many targets over many moments.
package playbook
