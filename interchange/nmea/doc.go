// Package nmea reads what sounders and receivers say after NMEA 0183: depth
// (DPT, DBT), water temperature (MTW), position (RMC, GGA), speed over ground
// (VTG) and wind (MWV). Other sentences are passed over, not refused.
//
// A sentence is $ttsss,field,…*hh: a talker of two letters, a type of three,
// fields, and the exclusive or of all between $ and * in hexadecimal. Values
// come out in SI: metres, °C, degrees (north and east positive), m/s.
//
// The layout of the sentences is from memory of the public descriptions of NMEA
// 0183.
package nmea
