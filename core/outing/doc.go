// Package outing keeps an outing from the touches made on the beach: each is small, none is ever changed,
// and all that is known of the outing (its spells with their effort, fish and blanks) follows from
// them. So they can be kept on a device without signal, sent in any number of parts, and undone.
package outing
