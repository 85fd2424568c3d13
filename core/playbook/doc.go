// Package playbook holds the rules of thumb: what multiplies the catch rate,
// when it applies and how sure the trade is of it; and the targets, offerings
// and rigs the rules speak of.
//
// A rule says in words how strong it is and how certain; words.go turns both
// into a log-normal prior. When a rule applies is a small typed expression over
// facts.go: soft thresholds with units, words, all, any, not. Its weight lies
// between 0 and 1.
//
// Loading is strict: an unknown key, a word outside the vocabulary, a missing
// unit is an error with file and line.
package playbook
