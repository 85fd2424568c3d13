package logbook_test

import (
	"bytes"
	"fmt"
	"image/jpeg"
	"net/http"
	"strings"
	"testing"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/testkit"
)

type spellsWithPhotos struct {
	Spells []struct {
		Catches []struct {
			ID     string
			Photos []struct {
				ID         string
				Width      int
				TakenAt    *string  `json:"taken_at"`
				Lat        *float64 `json:"lat"`
				HeadingDeg *float64 `json:"heading_deg"`
			}
		}
	}
}

// A photo is kept small and says nothing; what the camera wrote is kept beside it only where it is asked for. It goes
// with its catch, and comes back with it.
func TestPhotosOfACatch(t *testing.T) {
	c := kit.Fresh(t, "wren", testkit.NoLog)
	spell, fish := uuid.NewString(), uuid.NewString()
	body := object{"spot_id": c.ID("Kettle Bar"), "target": "red-drum", "started_at": "2026-11-19T00:30:00Z",
		"ended_at": "2026-11-19T01:30:00Z", "catches": []object{{"id": fish}}}
	require.Equal(t, http.StatusOK, c.Do("PUT", "/spells/"+spell, body, nil))
	raw := testkit.APhoto()
	quiet, told := uuid.NewString(), uuid.NewString()
	require.Equal(t, http.StatusOK, c.PutPhoto("/photos/"+quiet+"?catch_id="+fish, raw))
	require.Equal(t, http.StatusOK, c.PutPhoto("/photos/"+told+"?keep=true&catch_id="+fish, raw))
	require.Equal(t, http.StatusOK, c.PutPhoto("/photos/"+told+"?keep=true&catch_id="+fish, raw), "sent again it is the same")
	var log spellsWithPhotos
	require.Equal(t, http.StatusOK, c.Do("GET", "/spells", nil, &log))
	photos := log.Spells[0].Catches[0].Photos
	require.Len(t, photos, 2)
	for _, p := range photos {
		if p.ID == quiet {
			assert.Nil(t, p.TakenAt)
			assert.Nil(t, p.Lat)
			continue
		}
		require.NotNil(t, p.TakenAt)
		assert.Equal(t, "2026-11-19T04:05:00Z", *p.TakenAt, "the camera's clock is the water's, three hours behind UTC")
		assert.InDelta(t, 38.5, *p.Lat, 1e-9)
		assert.InDelta(t, 180, *p.HeadingDeg, 1e-9)
	}
	var picture, thumb string
	require.Equal(t, http.StatusOK, c.Do("GET", "/photos/"+told, nil, &picture))
	require.Equal(t, http.StatusOK, c.Do("GET", "/photos/"+told+"?thumb=true", nil, &thumb))
	for _, p := range []string{picture, thumb} {
		_, err := jpeg.Decode(strings.NewReader(p))
		require.NoError(t, err)
		assert.NotContains(t, p, "Exif")
		assert.Less(t, len(p), 400_001)
	}
	assert.Less(t, len(thumb), 24_001)

	// Whole accounts take them along.
	var account string
	require.Equal(t, http.StatusOK, c.Do("GET", "/account/export", nil, &account))
	assert.Contains(t, account, `"photo"`)
	assert.Contains(t, account, told)

	// Taken back and put again, as undo does.
	require.Equal(t, http.StatusNoContent, c.Do("DELETE", "/catches/"+fish, nil, nil))
	require.Equal(t, http.StatusOK, c.Do("PUT", "/catches/"+fish, object{"spell_id": spell}, nil))
	require.Equal(t, http.StatusOK, c.Do("GET", "/spells", nil, &log))
	assert.Len(t, log.Spells[0].Catches[0].Photos, 2)
	require.Equal(t, http.StatusNoContent, c.Do("DELETE", "/photos/"+quiet, nil, nil))
	assert.Equal(t, 404, c.Do("GET", "/photos/"+quiet, nil, nil))

	assert.Equal(t, 422, c.PutPhoto("/photos/"+uuid.NewString()+"?catch_id="+fish, []byte("\x00\x00\x00\x18ftypheic\x00\x00\x00\x00")))
	assert.Equal(t, 422, c.PutPhoto("/photos/"+uuid.NewString()+"?catch_id="+fish, bytes.Repeat([]byte{0xff}, 13<<20)))
	assert.Equal(t, 404, c.PutPhoto("/photos/"+uuid.NewString()+"?catch_id="+uuid.NewString(), raw))
	for range 5 {
		require.Equal(t, http.StatusOK, c.PutPhoto("/photos/"+uuid.NewString()+"?catch_id="+fish, raw))
	}
	assert.Equal(t, 422, c.PutPhoto("/photos/"+uuid.NewString()+"?catch_id="+fish, raw), "six of a catch are enough")
}

func TestWhatWasSeenWithoutFishing(t *testing.T) {
	c := kit.Fresh(t, "wren", testkit.NoLog)
	id := uuid.NewString()
	body := object{"spot_id": c.ID("Kettle Bar"), "seen_at": "2026-11-19T10:00:00Z", "signs": []string{"birds", "a run"},
		"note": "going east"}
	var out struct {
		TideStage string `json:"tide_stage"`
		Light     string
		Revision  int
	}
	require.Equal(t, http.StatusOK, c.Do("PUT", "/sightings/"+id, body, &out))
	assert.NotEmpty(t, out.TideStage)
	assert.NotEmpty(t, out.Light)
	require.Equal(t, http.StatusOK, c.Do("PUT", "/sightings/"+id, body, &out))
	assert.Equal(t, 1, out.Revision, "written again it is the same")
	body["note"], body["revision"] = "going west", 1
	require.Equal(t, http.StatusOK, c.Do("PUT", "/sightings/"+id, body, &out))
	assert.Equal(t, 2, out.Revision)
	body["note"] = "from another device"
	assert.Equal(t, 409, c.Do("PUT", "/sightings/"+id, body, nil))
	nothing := object{"spot_id": c.ID("Kettle Bar"), "seen_at": "2026-11-20T05:00:00Z", "signs": []string{"nothing at all"}}
	require.Equal(t, http.StatusOK, c.Do("PUT", "/sightings/"+uuid.NewString(), nothing, nil))
	var list struct {
		Sightings []struct {
			ID, Note string
			Signs    []string
		}
		Kinds []string
	}
	require.Equal(t, http.StatusOK, c.Do("GET", "/sightings", nil, &list))
	require.Len(t, list.Sightings, 2)
	assert.Equal(t, []string{"nothing at all"}, list.Sightings[0].Signs, "an empty flat is told too")
	assert.Equal(t, "going west", list.Sightings[1].Note)
	assert.Contains(t, list.Kinds, "birds")
	require.Equal(t, http.StatusOK, c.Do("GET", "/sightings?spot_id="+c.ID("Long Strand"), nil, &list))
	assert.Empty(t, list.Sightings)
	for field, wrong := range map[string]object{"body.signs": {"signs": []string{"a mermaid"}},
		"body.seen_at": {"seen_at": "2027-11-19T10:00:00Z"},
		"body.target":  {"target": "whale"}} {
		bad := object{"spot_id": c.ID("Kettle Bar"), "seen_at": "2026-11-19T10:00:00Z", "signs": []string{"birds"}}
		for k, v := range wrong {
			bad[k] = v
		}
		var p problem
		require.Equal(t, 422, c.Do("PUT", "/sightings/"+uuid.NewString(), bad, &p))
		assert.Equal(t, field, p.Errors[0].Location)
	}
	require.Equal(t, http.StatusNoContent, c.Do("DELETE", "/sightings/"+id, nil, nil))
	assert.Equal(t, 404, c.Do("DELETE", "/sightings/"+id, nil, nil))
}

// A fish tagged by others comes again at one's own bar.
func TestAListOfTagsIsMatched(t *testing.T) {
	c := kit.Fresh(t, "wren", testkit.NoLog)
	require.Equal(t, http.StatusOK, c.Do("PUT", "/spells/"+uuid.NewString(), object{"spot_id": c.ID("Kettle Bar"), "target": "red-drum",
		"started_at": "2026-11-19T00:30:00Z", "ended_at": "2026-11-19T01:30:00Z", "catches": []object{{"id": uuid.NewString(),
			"length_m": 0.65, "tag_number": "gp 77", "tag_programme": "Invented tags"}}}, nil))
	var spots []struct {
		ID       string
		Name     string
		WaterID  string `json:"water_id"`
		Lat, Lon float64
	}
	require.Equal(t, http.StatusOK, c.Do("GET", "/spots", nil, &spots))
	at := ""
	for _, s := range spots {
		if s.WaterID == c.ID("Sedge Sound") && s.Name == "Withy Bank" {
			at = fmt.Sprint(s.Lat) + "," + fmt.Sprint(s.Lon)
		}
	}
	require.NotEmpty(t, at)
	list := "tag_number,tag_programme,species,time,lat,lon,length_m\nGP-77,Invented tags,red drum,2026-08-11T00:30:00Z," + at + ",0.6\n" +
		"GP-78,Invented tags,red drum,2026-08-11T00:30:00Z," + at + ",0.6\n" +
		"GP-78,Invented tags,red drum,2026-09-11T00:30:00Z," + at + ",0.6\n"
	require.Equal(t, http.StatusNoContent, c.Do("POST", "/interchange/tags?list=Invented%20tags", list, nil))
	require.Equal(t, http.StatusNoContent, c.Do("POST", "/interchange/tags?list=Invented%20tags", list, nil), "in place of the one before")
	var tags struct {
		Tagged     []struct{ Number string }
		Recaptures []struct {
			First struct{ List string }
			Again struct {
				CatchID string `json:"catch_id"`
			}
			Days          float64
			GrowthMPerDay *float64 `json:"growth_m_per_day"`
			StraightM     float64  `json:"straight_m"`
			OverWaterM    *float64 `json:"over_water_m"`
			Doubt         string
		}
		Lists []struct {
			Name string
			Fish int
		}
	}
	require.Equal(t, http.StatusOK, c.Do("GET", "/tags", nil, &tags))
	require.Len(t, tags.Lists, 1)
	assert.Equal(t, 3, tags.Lists[0].Fish)
	require.Len(t, tags.Recaptures, 1, "what others met twice is theirs")
	r := tags.Recaptures[0]
	assert.Equal(t, "Invented tags", r.First.List)
	assert.NotEmpty(t, r.Again.CatchID)
	assert.InDelta(t, 100, r.Days, 0.1)
	assert.InDelta(t, 0.0005, *r.GrowthMPerDay, 1e-5, "5 cm in 100 days")
	assert.Empty(t, r.Doubt)
	if assert.NotNil(t, r.OverWaterM) {
		assert.GreaterOrEqual(t, *r.OverWaterM, r.StraightM*0.99)
	}
	assert.Equal(t, 422, c.Do("POST", "/interchange/tags?list=x", "tag_number\n1\n", nil))
	require.Equal(t, http.StatusNoContent, c.Do("DELETE", "/interchange/tags?list=Invented%20tags", nil, nil))
	assert.Equal(t, 404, c.Do("DELETE", "/interchange/tags?list=Invented%20tags", nil, nil))
}
