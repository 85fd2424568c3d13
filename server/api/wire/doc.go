// Package wire holds the bodies that more than one room of the API sends or takes: they
// carry what the core says, and decide nothing.
package wire
