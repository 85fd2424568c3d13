// Package ordinary draws the ordinary spells that an edge is measured by.
//
// An edge says how many times an ordinary spell for that fish a choice is worth,
//
//	log edge = Σ_r β_r · (w_r − w̄_r),
//
// and w̄_r is what an ordinary spell has of rule r: its mean over [Points] spells drawn for the
// target, the same for everyone and every day. They are drawn by an additive recurrence
// (Roberts 2018: x_n = ½ + n·φ⁻ʲ mod 1, φ the root of x^(d+1) = x + 1), so that a few
// hundred are within a hundredth of many:
//
//   - kinds of place it lives at, in turn, and of each the usual marks in turn (marks.go)
//   - a day of the months it is not away in; an hour between five and nine in the evening by
//     the sun, under the sky of 33° north
//   - a semidiurnal tide of 1.5 m at mean springs, any phase of it, springs to neaps with the
//     moon
//   - a temperature within those it feeds at; warming or cooling by up to 0.8 °C a day
//   - clarity by the kind of place; wind of 0.5 to 9 m/s, from any side; any cloud
//   - rain on one day in five; waves of 0.2 to 1 m where they break; no sign on the water
//
// All of it is the house's judgement of what is usual: common practice, no source. What takes a
// fish away altogether (kind of place, months, cold) stands absolute: an ordinary spell has
// none of it.
package ordinary
