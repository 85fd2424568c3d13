// Package water says what it is like below the surface. This first part is the
// light: how much falls on the water and how much is left at a depth.
//
// Sources: attenuation Kd = 1.7 / Secchi depth (Poole & Atkins 1929), decay
// exp(−Kd·z) (Beer–Lambert); dimming by cloud 1 − 0.75·c^3.4 (Kasten & Czeplak
// 1980). The table of illuminance by sun altitude and that of moonlight are
// from memory, in the range of the usual illumination-engineering tables.
// Units: metres, degrees, lux.
package water
