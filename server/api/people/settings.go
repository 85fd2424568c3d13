package people

import (
	"context"
	"encoding/json"

	"github.com/danielgtaylor/huma/v2"

	"greypebble/core/quantity"
	"greypebble/server/account"
	"greypebble/server/api/web"
)

type unitsBody struct {
	Depth       string `json:"depth" enum:"m,ft"`
	Tackle      string `json:"tackle" enum:"cm,in,mm" doc:"of lures, leaders, fish"`
	Distance    string `json:"distance" enum:"m,ft,yd"`
	Wind        string `json:"wind" enum:"m/s,mph,kn,km/h"`
	Boat        string `json:"boat" enum:"kn,km/h,mph,m/s"`
	Run         string `json:"run" enum:"m/s,ft/s,kn,km/h,mph" doc:"of water and lures"`
	Weight      string `json:"weight" enum:"g,oz" doc:"of sinkers and lures"`
	Line        string `json:"line" enum:"kg,lb"`
	Fish        string `json:"fish" enum:"kg,lb"`
	Temperature string `json:"temperature" enum:"°C,°F"`
	Pressure    string `json:"pressure,omitempty" default:"hPa" enum:"hPa,inHg,mmHg" doc:"of the air"`
	Clock       string `json:"clock" enum:"24 h,12 h"`
}

type settingsBody struct {
	Units  unitsBody `json:"units"`
	Week   string    `json:"week" enum:"monday,sunday,saturday" doc:"the day it begins on"`
	Chosen bool      `json:"chosen" doc:"they were asked for"`
}

type settingsInput struct{ Body settingsBody }

type settingsOutput struct{ Body settingsBody }

// settingsOf a person, each unit said.
func settingsOf(s account.Settings) settingsBody {
	u := s.Units
	clock := u.Clock
	if clock == "" {
		clock = quantity.Hours24
	}
	return settingsBody{unitsBody{u.Of("depth"), u.Of("tackle"), u.Of("distance"), u.Of("wind"), u.Of("boat"), u.Of("run"),
		u.Of("weight"), u.Of("line"), u.Of("fish"), u.Of("temperature"), u.Of("pressure"), clock}, s.Week, s.Chosen}
}

func (b settingsBody) settings() account.Settings {
	u := b.Units
	return account.Settings{Units: quantity.Units{Depth: u.Depth, Tackle: u.Tackle, Distance: u.Distance, Wind: u.Wind, Boat: u.Boat,
		Run: u.Run, Weight: u.Weight, Line: u.Line, Fish: u.Fish, Temperature: u.Temperature, Pressure: u.Pressure, Clock: u.Clock},
		Week: b.Week, Chosen: b.Chosen}
}

func (s service) registerSettings(api huma.API) {
	web.Signed(api, s.Deps, web.Put("/account/settings", "putSettings", "Choose units, hours and the start of the week"), s.putSettings)
}

func (s service) putSettings(ctx context.Context, as *web.Scope, in *settingsInput) (*settingsOutput, error) {
	chosen := in.Body.settings()
	if err := chosen.Validate(); err != nil {
		return nil, web.Wrong("body", err)
	}
	raw, err := json.Marshal(chosen)
	if err != nil {
		return nil, err
	}
	return &settingsOutput{settingsOf(chosen)}, s.Store.SetSettings(ctx, as.Angler, raw)
}
