package testkit

import (
	"cmp"
	"fmt"
	"math/rand/v2"
	"net/url"
	"slices"
	"strings"
	"time"
)

// Question in the form a page asks it.
type Question struct {
	Method string `json:"method"`
	Path   string `json:"path"`
	Body   Object `json:"body,omitempty"`
}

var signs = []string{"birds", "nervous bait", "dolphins", "fish tailing"}

// Questions a page could ask of a client's spots around now, drawn at random: the same by the same seed.
func (c *Client) Questions(seed uint64, n int) (out []Question) {
	var spots []Spot
	for _, s := range c.Spots() {
		spots = append(spots, s)
	}
	slices.SortFunc(spots, func(a, b Spot) int { return cmp.Compare(a.Name, b.Name) })
	r := rand.New(rand.NewPCG(seed, seed)) //nolint:gosec // the same each time
	targets := []string{"red-drum", "spotted-seatrout", "sheepshead", "southern-flounder", "bluefish", "common-snook"}
	way := Object{"mark": "Gut", "offering_id": "paddle-tail-dark", "rig_id": "jig-head"}
	advise := func(at time.Time) Object {
		b := Object{"spot_id": spots[r.IntN(len(spots))].ID, "target": targets[r.IntN(len(targets))], "time": at}
		if r.IntN(2) == 0 {
			b["readings"] = []Object{{"kind": "water_temp_c", "value": 5 + r.Float64()*25},
				{"kind": "clarity_secchi_m", "value": 0.2 + r.Float64()}}
		}
		if r.IntN(3) == 0 {
			b["signs"] = []string{signs[r.IntN(len(signs))]}
		}
		if r.IntN(4) == 0 {
			b["targets"] = []string{targets[r.IntN(3)], targets[3+r.IntN(3)]}
		}
		if r.IntN(4) == 0 {
			b["what_would_change"], b["drawn_px"] = true, 400
		}
		if r.IntN(4) == 0 {
			b["units"] = "us"
		}
		if r.IntN(5) == 0 {
			b["schools"] = Object{"Q5": "white"}
		}
		return b
	}
	for range n {
		at := Now.Add(time.Duration(r.IntN(10*24*60)-24*60) * time.Minute)
		stamp, spot := url.QueryEscape(at.Format(time.RFC3339)), spots[r.IntN(len(spots))].ID
		days := "/ahead?from=" + stamp + "&targets=" + targets[r.IntN(len(targets))]
		switch r.IntN(12) {
		case 0:
			out = append(out, Question{"GET", "/spots/" + spot + "/state?time=" + stamp, nil})
		case 1:
			out = append(out, Question{"GET", "/conditions?spot_id=" + spot + "&time=" + stamp, nil})
		case 2:
			out = append(out, Question{"GET", fmt.Sprintf("/spots/%s/ribbon?from=%s&hours=%d", spot, stamp, 1+r.IntN(48)), nil})
		case 8:
			path := "/spots/" + spot + "/elsewhere?target=" + targets[r.IntN(len(targets))] + "&time=" + stamp
			out = append(out, Question{Method: "GET", Path: path})
		case 9:
			path := "/spots/" + spot + "/visits?margin_min=20&from=" + stamp
			if r.IntN(2) == 0 {
				path += "&daylight=true"
			}
			out = append(out, Question{Method: "GET", Path: path})
		case 10:
			out = append(out, Question{Method: "GET", Path: days + fmt.Sprintf("&days=%d", 1+r.IntN(3))})
		case 11:
			path := "/ahead/windows" + strings.TrimPrefix(days, "/ahead") +
				"&days=3&along=child&least=1.1&by_day=true&weekdays=0&weekdays=6"
			out = append(out, Question{Method: "GET", Path: path})
		case 3:
			out = append(out, Question{"POST", "/advise/compare", Object{"a": advise(at), "b": advise(at.Add(time.Hour))}})
		case 4:
			b := advise(at)
			delete(b, "targets")
			for k, v := range way {
				b[k] = v
			}
			out = append(out, Question{"POST", "/edge", b})
		default:
			out = append(out, Question{"POST", "/advise", advise(at)})
		}
	}
	return out
}
