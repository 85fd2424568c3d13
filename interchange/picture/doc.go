// Package picture makes of a photo that somebody took what is kept of it: one small enough to be
// kept by the thousand, and a thumbnail, both upright and without a word of when, where or by
// what they were taken. That is told apart, for those who want it kept.
package picture
