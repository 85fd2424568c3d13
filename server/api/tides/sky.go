package tides

import (
	"context"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"greypebble/core/sky"
	"greypebble/server/api/web"
)

type skyInput struct {
	Body struct {
		Lat          float64 `json:"lat"`
		Lon          float64 `json:"lon" doc:"east positive"`
		Date         string  `json:"date" doc:"YYYY-MM-DD, civil date at the offset"`
		UTCOffsetMin int     `json:"utc_offset_min,omitempty"`
	}
}

type skyOutput struct {
	Body struct {
		Sunrise          *time.Time `json:"sunrise" required:"true" nullable:"true"`
		Sunset           *time.Time `json:"sunset" required:"true" nullable:"true"`
		CivilDawn        *time.Time `json:"civil_dawn" required:"true" nullable:"true"`
		CivilDusk        *time.Time `json:"civil_dusk" required:"true" nullable:"true"`
		NauticalDawn     *time.Time `json:"nautical_dawn" required:"true" nullable:"true"`
		NauticalDusk     *time.Time `json:"nautical_dusk" required:"true" nullable:"true"`
		AstronomicalDawn *time.Time `json:"astronomical_dawn" required:"true" nullable:"true"`
		AstronomicalDusk *time.Time `json:"astronomical_dusk" required:"true" nullable:"true"`
		MoonAbove        *time.Time `json:"moon_upper_transit" required:"true" nullable:"true"`
		MoonBelow        *time.Time `json:"moon_lower_transit" required:"true" nullable:"true"`
		Noon             *time.Time `json:"solar_noon" required:"true" nullable:"true"`
		Moonrise         *time.Time `json:"moonrise" required:"true" nullable:"true"`
		Moonset          *time.Time `json:"moonset" required:"true" nullable:"true"`
		// At local noon of the date.
		MoonIllumination float64 `json:"moon_illumination" doc:"lit fraction at local noon"`
		MoonPhaseDeg     float64 `json:"moon_phase_deg" doc:"elongation at local noon: 0 new, 180 full"`
		MoonPhase        string  `json:"moon_phase"`
		DaysFromFull     float64 `json:"days_from_full" doc:"negative before the nearest full moon"`
		SunNeverSets     bool    `json:"sun_never_sets"`
		SunNeverRises    bool    `json:"sun_never_rises"`
	}
}

func first(times []time.Time) *time.Time {
	if len(times) == 0 {
		return nil
	}
	t := times[0].UTC()
	return &t
}

func registerSky(api huma.API, d *web.Deps) {
	web.Closed(api, d, web.Post("/sky/day", "skyDay", "Sun and moon of a civil day"),
		func(_ context.Context, in *skyInput) (*skyOutput, error) {
			o, err := sky.NewObserver(in.Body.Lat, in.Body.Lon)
			if err != nil {
				return nil, web.Wrong("body.lat", err)
			}
			d, err := o.DayOn(in.Body.Date, time.Duration(in.Body.UTCOffsetMin)*time.Minute)
			if err != nil {
				return nil, web.Wrong("body.date", err)
			}
			noon := d.Start.Add(12 * time.Hour)
			p := sky.MoonPhase(noon)
			out := &skyOutput{}
			b := &out.Body
			b.Sunrise, b.Sunset, b.CivilDawn, b.CivilDusk = first(d.Sunrise), first(d.Sunset), first(d.CivilDawn), first(d.CivilDusk)
			b.NauticalDawn, b.NauticalDusk = first(d.NauticalDawn), first(d.NauticalDusk)
			b.AstronomicalDawn, b.AstronomicalDusk = first(d.AstronomicalDawn), first(d.AstronomicalDusk)
			b.MoonAbove, b.MoonBelow = first(d.MoonAbove), first(d.MoonBelow)
			b.Noon, b.Moonrise, b.Moonset = first(d.Noon), first(d.Moonrise), first(d.Moonset)
			b.MoonIllumination, b.MoonPhaseDeg, b.MoonPhase = p.Illumination, p.Elongation, p.Name()
			b.DaysFromFull = sky.DaysFromFull(noon)
			b.SunNeverSets, b.SunNeverRises = d.SunNeverSets, d.SunNeverRises
			return out, nil
		})
}
