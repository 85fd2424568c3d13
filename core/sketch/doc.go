// Package sketch draws how a presentation is fished: from the side, on the spot's own section at a moment,
// and from above. Lengths along and depths are to scale, each its own; people, boats, fish and lures are
// signs of a size that is seen.
package sketch
