// Package rigcard draws rigs and knots from their parts: where each line, curve and word
// goes, in a unit of its own (a sheet's width is [Width]). What the strokes look like is
// for whoever puts them on a screen or a page.
//
// Lengths on a card are squeezed (a metre of leader is not ten times as long as ten
// centimetres) and their true measure stands beside them.
package rigcard
