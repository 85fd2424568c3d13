package store

import (
	"context"
	"time"

	"github.com/google/uuid"
)

// MeasuredCatch is a catch with its measures and its tag, and where it was made.
type MeasuredCatch struct {
	ID           uuid.UUID `db:"id"`
	Target       string    `db:"target"`
	CaughtAt     time.Time `db:"caught_at"`
	LengthM      *float64  `db:"length_m"`
	MassKg       *float64  `db:"mass_kg"`
	TagNumber    string    `db:"tag_number"`
	TagSide      string    `db:"tag_side"`
	TagProgramme string    `db:"tag_programme"`
	SpotName     string    `db:"spot_name"`
	WaterID      uuid.UUID `db:"water_id"`
	TimeZone     string    `db:"time_zone"`
	Lat          float64   `db:"lat"`
	Lon          float64   `db:"lon"`
}

const measuredCatches = `SELECT c.id, c.target, c.caught_at, c.length_m, c.mass_kg, c.tag_number, c.tag_side, c.tag_programme,
	s.name AS spot_name, s.water_id, w.time_zone, s.lat_deg AS lat, s.lon_deg AS lon
	FROM catch c JOIN spell p ON p.id = c.spell_id JOIN spot s ON s.id = p.spot_id JOIN water w ON w.id = s.water_id
	WHERE c.angler_id = ?`

// MeasuredOf a target are its catches with a length or a weight, oldest first.
func (s *Store) MeasuredOf(ctx context.Context, angler uuid.UUID, target string) (list []MeasuredCatch, err error) {
	return list, s.db.SelectContext(ctx, &list, measuredCatches+` AND c.target = ? AND (c.length_m IS NOT NULL OR c.mass_kg IS NOT NULL)
		ORDER BY c.caught_at, c.id`, angler, target)
}

// TaggedCatches of an angler, oldest first.
func (s *Store) TaggedCatches(ctx context.Context, angler uuid.UUID) (list []MeasuredCatch, err error) {
	return list, s.db.SelectContext(ctx, &list, measuredCatches+` AND c.tag_number <> '' ORDER BY c.caught_at, c.id`, angler)
}
