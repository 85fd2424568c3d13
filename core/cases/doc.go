// Package cases holds questions of the trade with what a practitioner would say of the answer:
// all common practice, no source. Each stands for a principle, and is asked of an invented shore.
// The tests of the package hold the advice to them, and the review writes them out with the answers
// as they stand on screen.
package cases
