package store

import (
	"encoding/json"
	"fmt"

	"greypebble/core/ground"
)

// Rings stand in the database as GeoJSON has them: longitude, then latitude.

func ringsText(rings []ground.Ring) (string, error) {
	out := make([][][2]float64, len(rings))
	for i, r := range rings {
		out[i] = make([][2]float64, len(r))
		for j, p := range r {
			out[i][j] = [2]float64{p.Lon, p.Lat}
		}
	}
	text, err := json.Marshal(out)
	return string(text), err
}

func ringsOf(text string) ([]ground.Ring, error) {
	var in [][][2]float64
	if err := json.Unmarshal([]byte(text), &in); err != nil {
		return nil, fmt.Errorf("store: rings: %w", err)
	}
	out := make([]ground.Ring, len(in))
	for i, r := range in {
		out[i] = make(ground.Ring, len(r))
		for j, p := range r {
			out[i][j] = ground.LatLon{Lat: p[1], Lon: p[0]}
		}
	}
	return out, nil
}
