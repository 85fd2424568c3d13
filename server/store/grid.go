package store

import (
	"bytes"
	"compress/zlib"
	"context"
	"database/sql"
	"encoding/binary"
	"errors"
	"fmt"
	"io"
	"math"

	"github.com/google/uuid"
	"github.com/jmoiron/sqlx"

	"greypebble/core/ground"
)

// Grid of a water with where it comes from.
type Grid struct {
	*ground.Grid
	Source string
}

// unknownCell stands for an elevation that is not known.
const unknownCell = math.MinInt32

// PutGrid keeps the depths of a water in place of earlier ones.
func (s *Store) PutGrid(ctx context.Context, angler, water uuid.UUID, g Grid) error {
	var b bytes.Buffer
	w := zlib.NewWriter(&b)
	row := make([]byte, 4*g.Cols)
	for r := range g.Rows {
		for c := range g.Cols {
			v := int32(unknownCell)
			if z := g.Cell(r, c); !math.IsNaN(z) {
				v = int32(math.Round(z * 1000))
			}
			binary.LittleEndian.PutUint32(row[4*c:], uint32(v))
		}
		if _, err := w.Write(row); err != nil {
			return err
		}
	}
	if err := w.Close(); err != nil {
		return err
	}
	return s.within(ctx, func(tx *sqlx.Tx) error {
		if err := owned(ctx, tx, "water", angler, water); err != nil {
			return err
		}
		_, err := tx.ExecContext(ctx, `REPLACE INTO grid (water_id, south_deg, west_deg, dlat_deg, dlon_deg, row_count, col_count,
			source, cells)
			VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)`, water, g.South, g.West, g.DLat, g.DLon, g.Rows, g.Cols, g.Source, b.Bytes())
		return err
	})
}

// Grid of a water; [ErrNotFound] where there is none.
func (s *Store) Grid(ctx context.Context, angler, water uuid.UUID) (Grid, error) {
	var row struct {
		South  float64 `db:"south_deg"`
		West   float64 `db:"west_deg"`
		DLat   float64 `db:"dlat_deg"`
		DLon   float64 `db:"dlon_deg"`
		Rows   int     `db:"row_count"`
		Cols   int     `db:"col_count"`
		Source string  `db:"source"`
		Cells  []byte  `db:"cells"`
	}
	err := s.db.GetContext(ctx, &row, `SELECT g.south_deg, g.west_deg, g.dlat_deg, g.dlon_deg, g.row_count, g.col_count, g.source, g.cells
		FROM grid g JOIN water w ON w.id = g.water_id WHERE g.water_id = ? AND w.angler_id = ?`, water, angler)
	if errors.Is(err, sql.ErrNoRows) {
		return Grid{}, ErrNotFound
	}
	if err != nil {
		return Grid{}, err
	}
	g, err := ground.NewGrid(row.South, row.West, row.DLat, row.DLon, row.Rows, row.Cols)
	if err != nil {
		return Grid{}, fmt.Errorf("store: grid: %w", err)
	}
	z, err := zlib.NewReader(bytes.NewReader(row.Cells))
	if err != nil {
		return Grid{}, fmt.Errorf("store: grid: %w", err)
	}
	line := make([]byte, 4*g.Cols)
	for r := range g.Rows {
		if _, err := io.ReadFull(z, line); err != nil {
			return Grid{}, fmt.Errorf("store: grid: %w", err)
		}
		for c := range g.Cols {
			if v := int32(binary.LittleEndian.Uint32(line[4*c:])); v != unknownCell {
				g.Set(r, c, float64(v)/1000)
			}
		}
	}
	return Grid{g, row.Source}, nil
}
