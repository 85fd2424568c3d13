// Package plan says when and where to go: what the coming days hold at one's spots, hour by hour,
// and the windows in them.
//
// What an hour is worth is the edge of being there (there × feeding, see package sweep): how many
// times an ordinary spell for that fish, on the best mark and fished as well as the book knows. It
// holds only while one can be there: the way in and back is open, no rule closes the spot, a mark
// has water to fish, and nothing passes the angler's own limits to going (package going).
//
// A window is a stretch of such time around a peak. Its best hour is the hour with the greatest
// mean; when to be out is told by the way, not by the fish.
package plan
