// Package greypebble is the root of the project; its tests watch over the whole
// tree: layers, and what must not be in the repository.
package greypebble
