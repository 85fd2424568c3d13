// Package springrun follows a spring run up a river: at which of its bends, day by day, the school is likely to
// lie. "The school moves upstream by days; being one bend out of place is the difference" (common
// practice, no source): nobody gives its speed, so it is assumed here and said where it is shown,
// and what one's own log met corrects it.
package springrun
