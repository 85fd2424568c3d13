// Package water says what it is like at and below the surface: how much light
// falls on the water and is left at a depth, and where swell breaks.
//
// Sources: attenuation Kd = 1.7 / Secchi depth (Poole & Atkins 1929), decay
// exp(−Kd·z) (Beer–Lambert); dimming by cloud 1 − 0.75·c^3.4 (Kasten & Czeplak
// 1980). The table of illuminance by sun altitude and that of moonlight are
// from memory, in the range of the usual illumination-engineering tables.
// Breakers: Komar & Gaughan (1973) for their height, McCowan (1894) for the depth
// they break in. Units: metres, seconds, degrees, lux.
package water
