// Package quantity reads and writes measures with their units. Values are kept
// in SI (degrees Celsius for temperature, a fraction for per cent); practice is
// spoken in inches, ounces and knots, so text is read in either and shown in
// the one the angler prefers.
//
// Conversion factors are the exact ones of NIST SP 811 (2008), appendix B.
package quantity
