package conditions

import (
	"context"

	"github.com/danielgtaylor/huma/v2"

	"greypebble/core/water"
	"greypebble/server/api/web"
)

type lightInput struct {
	Body struct {
		SecchiM          float64 `json:"secchi_m"`
		DepthM           float64 `json:"depth_m" minimum:"0" maximum:"11000"`
		SunAltitudeDeg   float64 `json:"sun_altitude_deg" minimum:"-90" maximum:"90"`
		CloudFraction    float64 `json:"cloud_fraction,omitempty" minimum:"0" maximum:"1"`
		MoonAltitudeDeg  float64 `json:"moon_altitude_deg,omitempty" minimum:"-90" maximum:"90"`
		MoonIllumination float64 `json:"moon_illumination,omitempty" minimum:"0" maximum:"1"`
	}
}

type lightOutput struct {
	Body struct {
		AttenuationPerM float64 `json:"attenuation_per_m"`
		Fraction        float64 `json:"fraction" doc:"of the surface light left at the depth"`
		SurfaceLux      float64 `json:"surface_lux"`
		Lux             float64 `json:"lux"`
		Class           string  `json:"class" enum:"bright,dim,twilight,dark"`
		DarkBelowM      float64 `json:"dark_below_m"`
	}
}

type breakingInput struct {
	Body struct {
		SwellHeightM float64 `json:"swell_height_m"`
		SwellPeriodS float64 `json:"swell_period_s"`
		LevelM       float64 `json:"level_m" minimum:"-30" maximum:"30"`
		Bars         []barIn `json:"bars" maxItems:"100" nullable:"false"`
	}
}

type barIn struct {
	ElevationM float64 `json:"elevation_m" minimum:"-100" maximum:"100"`
}

type barOut struct {
	ElevationM          float64 `json:"elevation_m"`
	DepthM              float64 `json:"depth_m"`
	Breaks              bool    `json:"breaks"`
	StopsBreakingLevelM float64 `json:"stops_breaking_level_m"`
}

type breakingOutput struct {
	Body struct {
		BreakerHeightM float64  `json:"breaker_height_m"`
		BreakingDepthM float64  `json:"breaking_depth_m"`
		Bars           []barOut `json:"bars" nullable:"false"`
	}
}

func registerLight(api huma.API, d *web.Deps) {
	web.Closed(api, d, web.Post("/water/light", "waterLight", "Light at a depth"),
		func(_ context.Context, in *lightInput) (*lightOutput, error) {
			b := in.Body
			k, err := water.Attenuation(b.SecchiM)
			if err != nil {
				return nil, web.Wrong("body.secchi_m", err)
			}
			out := &lightOutput{}
			o := &out.Body
			o.AttenuationPerM, o.Fraction = k, water.Remaining(k, b.DepthM)
			o.SurfaceLux = water.Sky{SunAltitude: b.SunAltitudeDeg, Cloud: b.CloudFraction, MoonAltitude: b.MoonAltitudeDeg,
				MoonIllumination: b.MoonIllumination}.Surface()
			o.Lux = o.SurfaceLux * o.Fraction
			o.Class, o.DarkBelowM = water.Class(o.Lux).String(), water.DarkBelow(o.SurfaceLux, k)
			return out, nil
		})
	web.Closed(api, d, web.Post("/water/breaking", "waterBreaking", "On which bars swell breaks at a level of the tide"),
		func(_ context.Context, in *breakingInput) (*breakingOutput, error) {
			h, err := water.BreakerHeight(in.Body.SwellHeightM, in.Body.SwellPeriodS)
			if err != nil {
				return nil, web.Wrong("body", err)
			}
			out := &breakingOutput{}
			out.Body.BreakerHeightM, out.Body.BreakingDepthM = h, water.BreakingDepth(h)
			out.Body.Bars = []barOut{}
			for _, bar := range in.Body.Bars {
				b := water.OverBar(h, bar.ElevationM, in.Body.LevelM)
				out.Body.Bars = append(out.Body.Bars, barOut{ElevationM: bar.ElevationM, DepthM: b.DepthM, Breaks: b.Breaks,
					StopsBreakingLevelM: b.StopsAtLevelM})
			}
			return out, nil
		})
}
