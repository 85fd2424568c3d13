package api_test

import (
	"encoding/json"
	"net/http"
	"regexp"
	"slices"
	"strings"
	"testing"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"go.yaml.in/yaml/v3"

	"greypebble/server/api"
	"greypebble/testkit"
)

// How an operation answers those it is not for.
const (
	// anyone may ask: it knows nobody's data.
	anyone = "anyone"
	// members may ask: it knows nobody's data, or their own alone.
	members = "members"
	// theirs is of somebody's row: others are told that there is none.
	theirs = "theirs"
	// unheard is a removal by an id that is not one's own: it is done, because there is nothing.
	unheard = "unheard"
)

// asked is how an operation is asked for somebody else's row, where that takes more than the id.
type asked struct {
	how   string
	query string
	body  any
	text  string
}

// answers of every operation to strangers, by its id. One that is new must be written here.
func answers(ids map[string]string) map[string]asked {
	spot, water, station := ids["spot"], ids["water"], ids["station"]
	m := asked{how: members}
	return map[string]asked{
		"health": {how: anyone}, "welcome": {how: anyone}, "login": {how: anyone}, "register": {how: anyone}, "recover": {how: anyone},
		"logout": {how: anyone}, "groundWords": {how: anyone}, "fileFormats": {how: anyone}, "fileColumns": {how: anyone},
		"readingKinds": {how: anyone},
		"knots":        {how: anyone}, "knownStations": {how: anyone},

		"benchCadence": m, "benchFall": m, "benchFloat": m, "benchInterception": m, "benchJig": m, "benchLead": m, "benchLengthWeight": m,
		"benchLightFinish": m, "benchLine": m, "benchPace": m, "benchPlug": m, "practice": m, "throw": m, "benchReelTurns": m,
		"benchRods":  m,
		"benchTroll": m, "skyDay": m, "predictTide": m, "waterBreaking": m, "waterLight": m, "analyseTide": m, "watchAnalysis": m,
		"checkPlaybook": m, "readUsual": m, "readFeatures": m, "readSection": m, "readStation": m, "readSurf": m, "rigCard": m,

		"outlook": m, "offline": m, "ahead": m, "aheadWindows": m, "previewPlans": m, "aheadCalendar": m,
		"addInventedCoast": m, "removeInventedCoast": m, "me": m, "account": m,
		"exportAccount": m, "importAccount": m,
		"deleteAccount": m, "putSettings": m, "changePassword": m,
		"evidence":      {how: members, query: "target=red-drum"},
		"evidenceRule":  {how: members, query: "target=red-drum&rule=moving-water"},
		"evidenceCurve": {how: members, query: "target=red-drum&by=hour"}, "calibration": m, "lessons": {how: members,
			query: "target=red-drum"}, "rateRatio": m, "fisher": m, "proportion": m, "trialPower": m,
		"makeRecoveryCodes": m, "listSessions": m, "endOtherSessions": m, "listInvites": m, "makeInvite": m,
		"chart": m, "listCatches": m, "listSpells": m, "listSpots": m, "listStations": m, "listTargets": m, "listWaters": m, "kit": m,
		"kitFile": m, "importKit": m, "ownFile": m, "importOwn": m, "playbook": m, "getLimits": m, "putLimits": m, "exportFeatures": m,
		"putOwnRule": m, "putRule": m, "putSchool": m, "putTarget": m,
		// Ids of these are words of one's own.
		"delete-own-rule": m, "delete-own-target": m,

		"endSession": {how: theirs}, "deleteInvite": {how: theirs},
		"advise": {how: theirs, body: object{"spot_id": spot, "target": "red-drum"}},
		"compareAdvice": {how: theirs, body: object{"a": object{"spot_id": spot, "target": "red-drum"}, "b": object{"spot_id": spot,
			"target": "red-drum"}}},
		"edge":      {how: theirs, body: edgeOf(spot)},
		"benchCast": {how: theirs, body: object{"spot_id": spot, "cast_m": 30, "pace_ms": 0.5, "min_m": 0.2, "max_m": 1}},
		"aheadWindow": {how: theirs, query: "spot_id=" + spot +
			"&target=red-drum&from=2026-11-21T12:00:00Z&until=2026-11-21T13:00:00Z"},
		"benchUsual":      {how: theirs, query: "spot_id=" + spot},
		"conditions":      {how: theirs, query: "spot_id=" + spot},
		"compareStations": {how: theirs, query: "a=" + station + "&b=" + station},
		"importGrid": {how: theirs, query: "format=asc&water_id=" + water,
			text: "ncols 2\nnrows 2\nxllcorner -31\nyllcorner 38\ncellsize 0.01\n1 1\n1 1\n"},
		"importFeatures": {how: theirs, query: "format=geojson&water_id=" + water,
			text: `{"type":"FeatureCollection","features":[{"type":"Feature","properties":{"name":"a"},` +
				`"geometry":{"type":"Point","coordinates":[-31,38]}}]}`},
		"putCatch":    {how: theirs, body: object{"spell_id": ids["spell"]}},
		"deleteCatch": {how: unheard}, "deleteSpell": {how: unheard}, "deleteKit": {how: unheard}, "deleteNoted": {how: theirs},
		"putKit": {how: theirs, body: object{"kind": "sinker", "name": "lead", "pattern": "egg", "in_hand": true, "weight_kg": 0.05,
			"revision": 1}},
		"putSpell": {how: theirs, body: object{"spot_id": spot, "target": "red-drum", "started_at": "2026-11-19T12:00:00Z",
			"ended_at": "2026-11-19T13:00:00Z", "revision": 1}},
		"getSpot": {how: theirs}, "deleteSpot": {how: theirs}, "readPier": {how: theirs}, "spotRibbon": {how: theirs},
		"spotShelter": {how: theirs},
		"spotState":   {how: theirs}, "spotTide": {how: theirs}, "spotVisits": {how: theirs}, "spotWindows": {how: theirs},
		"noteFound":    {how: theirs, body: object{"time": "2026-11-19T12:00:00Z", "shut": true}},
		"elsewhere":    {how: theirs, query: "target=red-drum"},
		"spotCalendar": {how: theirs},
		"putSpot": {how: theirs, body: object{"water_id": water, "name": "mine now", "place": "pier", "lat": 38, "lon": -31,
			"manner": "on foot",
			"in":     object{"name": "path", "elevation_m": 1}, "out": object{"name": "path", "elevation_m": 1}, "revision": 1}},
		"putCurrent":    {how: theirs, body: object{}},
		"putMark":       {how: theirs, body: object{"name": "a mark", "kind": "hole", "at": object{"lat": 38, "lon": -31}}},
		"putNoted":      {how: theirs, body: object{"time": "2026-11-19T12:00:00Z", "kind": "high"}},
		"putOffsets":    {how: theirs, body: object{"lag_high_min": 10, "lag_low_min": 10}},
		"deleteStation": {how: theirs}, "stationFile": {how: theirs}, "turnsFile": {how: theirs},
		"putStation": {how: theirs, body: object{"name": "x", "source": "y", "revision": 1,
			"constituents": []object{{"name": "M2", "amplitude_m": 1, "phase_deg": 0}}}},
		"takeKnown":     {how: theirs, body: object{"known_id": "noaa/8452660"}},
		"listTemplates": {how: theirs, query: "station_id=" + station},
		"bendTemplate":  {how: theirs, body: object{"station_id": station}},
		"getWater":      {how: theirs}, "deleteWater": {how: theirs}, "cutSection": {how: theirs,
			query: "from_lat=38&from_lon=-31&to_lat=38.001&to_lon=-31"},
		"depthGrid": {how: theirs}, "findFeatures": {how: theirs}, "gridCells": {how: theirs},
		"putWater":        {how: theirs, body: object{"name": "mine", "time_zone": "UTC", "station_id": station, "revision": 1}},
		"reachSpots":      {how: theirs, query: "lat=38&lon=-31"},
		"readLog":         {how: theirs, text: "time,water_temp_c\n2026-11-19T12:00:00Z,12\n2026-11-19T13:00:00Z,12\n"},
		"takeBackReading": {how: theirs, query: "kind=water_temp_c&time=2026-11-19T12:00:00Z"},
		"addReadings":     {how: theirs, body: object{"readings": []object{{"kind": "water_temp_c", "value": 12}}}},
		"readingsFile":    {how: theirs}, "useStation": {how: theirs, body: object{"station_id": station}},
		"deleteSurge": {how: theirs}, "putSurge": {how: theirs, body: object{"by_m": 0.1, "fade_h": 12}},
		"putFeed": {how: theirs, body: object{"url": "https://forecast.example/a.csv"}}, "deleteFeed": {how: theirs},
		"spotMonth": {how: theirs}, "seasons": m, "usualOfWater": {how: theirs}, "usualFile": {how: theirs},
		"putUsualOfWater": {how: theirs, body: object{"kinds": []object{}}},
		"listOutings":     m, "sync": m, "getOuting": {how: theirs}, "putOuting": {how: theirs, body: testkit.AnOuting(spot)},
		"deleteOuting": {how: unheard},
		"plans":        m, "plan": {how: theirs}, "planCalendar": {how: theirs}, "planSheet": {how: theirs},
		"deletePlan":  {how: unheard},
		"logDocument": m, "imports": m, "sightings": m, "putSighting": {how: theirs, body: testkit.ASighting(spot)},
		"deleteSighting": {how: unheard},
		"care":           {how: members, body: object{"target": "red-drum"}}, "putOwnCare": {how: members, body: object{}},
		"careIce":      {how: members, body: object{"fish_kg": 1, "hours": 1, "air_temp_c": 20, "water_temp_c": 10}},
		"careLiveBait": {how: members, body: object{"count": 1, "each_kg": 0.01, "water_temp_c": 20, "volume_l": 10, "hours": 1}},
		"dayCard":      {how: theirs, body: object{"spot_id": spot}},
		"bylaws":       m, "putBylaw": {how: theirs, body: testkit.ABylaw()}, "bylawAgain": {how: theirs}, "deleteBylaw": {how: unheard},
		"checkBylaws": {how: members, body: object{}}, "bylawsYAML": m, "bylawsCSV": m,
		"importBylaws": {how: members, text: testkit.AFileOfBylaws},
		"keep":         {how: theirs, body: object{"species": "red-drum", "spot_id": spot}},
		"photo":        {how: theirs}, "deletePhoto": {how: unheard}, "takeBackImport": {how: theirs},
		"importLog": {how: members, body: object{"id": uuid.NewString(), "name": "f", "keep": true, "spots": object{"A": spot},
			"text": "spot,time,hours,target\nA,2026-11-19 06:00,1,red drum\n"}},
		"putPhoto":      {how: theirs, query: "catch_id=" + ids["catche"], text: string(testkit.APhoto())},
		"importTags":    {how: members, query: "list=a", text: "tag_number,time,lat,lon\nA,2026-11-19T06:00:00Z,38,-31\n"},
		"deleteTagList": {how: unheard, query: "list=b"},
		"listTrials":    m, "logDays": m, "logPlaces": m, "tags": m, "tagsFile": m,
		"growth": {how: members, query: "target=red-drum"}, "logFile": m, "trial": {how: theirs}, "trialResult": {how: theirs},
		"deleteTrial": {how: unheard},
		"putTrial":    {how: theirs, body: testkit.ATrial(spot)}, "putBlock": {how: theirs, body: testkit.ABlock()},
		"putPlan":    {how: theirs, body: testkit.APlan(spot)},
		"deleteZone": {how: unheard},
		"putZone": {how: theirs, query: "water_id=" + water, body: object{"name": "z", "kind": "no take", "says": "a", "source": "b",
			"checked_on": "2026-01-01", "ring": []object{{"lat": 38, "lon": -31}, {"lat": 38.1, "lon": -31}, {"lat": 38, "lon": -31.1}}}},
	}
}

func edgeOf(spot string) object {
	return object{"spot_id": spot, "mark": "edge", "offering_id": "white-paddle-tail", "rig_id": "weedless", "target": "red-drum"}
}

type operation struct{ method, path, id string }

func operations(t *testing.T) (out []operation) {
	raw, err := api.OpenAPI()
	require.NoError(t, err)
	var doc struct {
		Paths map[string]map[string]struct {
			OperationID string `yaml:"operationId"`
		}
	}
	require.NoError(t, yaml.Unmarshal(raw, &doc))
	for path, item := range doc.Paths {
		for method, op := range item {
			out = append(out, operation{strings.ToUpper(method), strings.TrimPrefix(path, "/v1"), op.OperationID})
		}
	}
	require.Greater(t, len(out), 100)
	return out
}

var inPath = regexp.MustCompile(`\{[a-z_]+\}`)

// Every operation × nobody, another angler, a session that has run out, an account that is
// gone: each has its answer written down, and gives no more than that.
func TestEveryOperationAnswersStrangers(t *testing.T) {
	owner := kit.Fresh(t, "wren", 1)
	ids := map[string]string{"spot": owner.ID("Kettle Bar"), "water": owner.ID("Sedge Sound")}
	var spells struct{ Spells []object }
	require.Equal(t, http.StatusOK, owner.Do("GET", "/spells?most=1", nil, &spells))
	ids["spell"] = spells.Spells[0]["id"].(string)
	var withFish struct{ Catches []struct{ ID string } }
	require.Equal(t, http.StatusOK, owner.Do("GET", "/catches?most=5", nil, &withFish))
	ids["catche"] = withFish.Catches[0].ID
	var water object
	require.Equal(t, http.StatusOK, owner.Do("GET", "/waters/"+ids["water"], nil, &water))
	ids["station"] = water["station_id"].(string)
	if z := water["zones"].([]any); len(z) > 0 {
		ids["zone"] = z[0].(object)["id"].(string)
	}
	var kitList struct{ Items []object }
	require.Equal(t, http.StatusOK, owner.Do("GET", "/kit", nil, &kitList))
	ids["kit"] = kitList.Items[0]["id"].(string)
	ids["plan"] = uuid.NewString()
	require.Equal(t, http.StatusOK, owner.Do("PUT", "/plans/"+ids["plan"], testkit.APlan(ids["spot"]), nil))
	ids["trial"] = uuid.NewString()
	require.Equal(t, http.StatusOK, owner.Do("PUT", "/trials/"+ids["trial"], testkit.ATrial(ids["spot"]), nil))
	ids["sighting"] = uuid.NewString()
	require.Equal(t, http.StatusOK, owner.Do("PUT", "/sightings/"+ids["sighting"], testkit.ASighting(ids["spot"]), nil))
	ids["bylaw"] = uuid.NewString()
	require.Equal(t, http.StatusOK, owner.Do("PUT", "/bylaws/"+ids["bylaw"], testkit.ABylaw(), nil))
	ids["photo"] = uuid.NewString()
	require.Equal(t, http.StatusOK, owner.PutPhoto("/photos/"+ids["photo"]+"?catch_id="+ids["catche"], testkit.APhoto()))
	ids["outing"] = uuid.NewString()
	require.Equal(t, http.StatusOK, owner.Do("PUT", "/outings/"+ids["outing"], testkit.AnOuting(ids["spot"]), nil))
	var invite, sessions object
	require.Equal(t, http.StatusOK, owner.Do("POST", "/invites", object{}, &invite))
	ids["invite"] = invite["id"].(string)
	require.Equal(t, http.StatusOK, owner.Do("GET", "/account/sessions", nil, &sessions))
	ids["session"] = sessions["sessions"].([]any)[0].(object)["id"].(string)
	var whole string
	require.Equal(t, http.StatusOK, owner.Do("GET", "/account/export", nil, &whole))

	stranger := kit.Fresh(t, "moss")
	nobody := kit.Client(t)
	late := kit.Fresh(t, "moss")
	_, err := kit.App.Store.DB().Exec(`UPDATE sessions SET expiry = UTC_TIMESTAMP(6) - INTERVAL 1 SECOND WHERE angler_id =
		(SELECT id FROM angler WHERE name = ?)`, late.Name)
	require.NoError(t, err)
	gone := kit.Fresh(t, "moss")
	other := gone.Device(t)
	require.Equal(t, http.StatusNoContent, other.Do("DELETE", "/account", object{"password": "grey-pebble"}, nil))

	table := answers(ids)
	known := map[string]bool{}
	for _, op := range operations(t) {
		known[op.id] = true
		how, written := table[op.id]
		if !assert.True(t, written, "%s %s (%s): write down how it answers strangers", op.method, op.path, op.id) {
			continue
		}
		of := ids[strings.TrimSuffix(strings.Split(op.path, "/")[1], "s")]
		switch {
		case strings.HasPrefix(op.path, "/account/sessions"):
			of = ids["session"]
		case of == "":
			of = uuid.NewString()
		}
		path := inPath.ReplaceAllStringFunc(op.path, func(p string) string {
			if p == "{id}" && op.id == "bendTemplate" {
				return "pier"
			}
			if p == "{id}" {
				return of
			}
			return uuid.NewString()
		})
		if how.query != "" {
			path += "?" + how.query
		}
		var body any
		switch {
		case how.body != nil:
			body = how.body
		case how.text != "":
			body = how.text
		case op.method == "PUT" || op.method == "POST":
			body = object{}
		}
		if how.how == anyone {
			continue
		}
		for who, c := range map[string]interface {
			Do(string, string, any, any) int
		}{"nobody": nobody, "a session that has run out": late, "an account that is gone": gone} {
			assert.Equal(t, http.StatusUnauthorized, c.Do(op.method, path, body, nil), "%s to %s", op.id, who)
		}
		switch how.how {
		case theirs:
			var said string
			assert.Equal(t, http.StatusNotFound, stranger.Do(op.method, path, body, &said), "%s to another angler: %s", op.id, said)
		case unheard:
			assert.Contains(t, []int{http.StatusNoContent, http.StatusNotFound}, stranger.Do(op.method, path, body, nil), op.id)
		case members:
			if op.method == "GET" && !strings.Contains(op.path, "{") {
				var said string
				stranger.Do(op.method, path+queryFor(op.id), nil, &said)
				for what, id := range ids {
					assert.NotContains(t, said, id, "%s tells another angler of a %s", op.id, what)
				}
			}
		}
	}
	for id := range table {
		assert.True(t, known[id], "%s is no operation any more", id)
	}

	// After all that asking, nothing of the owner's has changed.
	var after string
	require.Equal(t, http.StatusOK, owner.Do("GET", "/account/export", nil, &after))
	assert.Equal(t, tables(t, whole), tables(t, after))
}

func queryFor(id string) string {
	if id == "exportFeatures" {
		return "?format=geojson&private=include"
	}
	return ""
}

func tables(t *testing.T, copied string) any {
	var doc struct{ Tables map[string][]object }
	require.NoError(t, json.Unmarshal([]byte(copied), &doc))
	// What machines said is thinned out by itself.
	doc.Tables["reading"] = slices.DeleteFunc(doc.Tables["reading"], func(r object) bool { return r["own"] == 0.0 })
	return doc.Tables
}
