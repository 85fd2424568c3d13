// Package advise puts conditions, a spot and the playbook together: which
// presentations are possible here and now, how each ranks as an edge over an
// ordinary spell for that fish, and why.
//
// What cannot work never ranks: an open hook over shell, a lure too deep for the
// water, a mark that is dry. An edge is there × feeding × taken. What is taken is measured
// against the best that the whole book could offer on that mark: so the edge of the best is
// there × feeding, and everything else is a share of it. Everything shown comes with its reasons,
// and the product of the reasons is the edge.
package advise
