// Package tide predicts the level of the sea at a place from its harmonic
// constants, finds the turns of the tide and says what stage it is at.
//
// The level above chart datum is
//
//	h(t) = Z0 + Σ f·H·cos(V + u − G)
//
// where H is a constituent's amplitude in metres, G its Greenwich phase lag in
// degrees, V the equilibrium argument and f, u the nodal factor and angle, all
// taken at t itself and not held for a year. Times are UTC and go into the mean
// longitudes as they are; the difference to dynamical time is below 0.5 mm.
//
// Sources: P. Schureman, Manual of Harmonic Analysis and Prediction of Tides,
// US Coast & Geodetic Survey SP 98 (1958) for arguments and nodal factors;
// M. G. G. Foreman, Manual for Tidal Heights Analysis and Prediction (1977) for
// shallow-water compounds as sums of their parents; mean longitudes of
// J. Meeus, Astronomical Algorithms (1998), ch. 22, 25 and 47.
//
// Units: metres, metres per hour, degrees, UTC.
package tide
