// Package logcsv reads and writes a log of spells as CSV: a line for each spell and each of its
// catches, as [Write] has them, or a line an outing or a fish as people keep it in tables of their
// own, with dates in whichever order and units of their own.
package logcsv
