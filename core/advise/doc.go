// Package advise puts conditions, a spot and the playbook together: which
// presentations are possible here and now, how each ranks as an edge over a
// blind pick, and why.
//
// What cannot work never ranks: an open hook over shell, a lure too deep for the
// water, a mark that is dry. Everything shown comes with its reasons, and the
// product of the reasons is the edge.
package advise
