// Package sky finds the sun and the moon: altitude and azimuth, rise, set,
// twilight, phase and illumination.
//
// Positions follow J. Meeus, Astronomical Algorithms (2nd ed. 1998): the sun
// ch. 25 (low accuracy, 0.01°), the moon ch. 47 (10″ in longitude), nutation
// ch. 22 (principal terms), sidereal time ch. 12, illumination ch. 48. Rise and
// set are of the upper limb for an observer at sea level with 34′ of
// refraction and the parallax of the body. Below 60° of latitude they are good
// to a few seconds; real refraction and a real horizon vary by a minute or more.
//
// Angles are in degrees, longitudes positive east, azimuths clockwise from
// north, times UTC.
package sky
