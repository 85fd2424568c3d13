package store

import (
	"context"
	"database/sql"
	"embed"
	"fmt"
	"io/fs"
	"maps"

	"github.com/go-sql-driver/mysql"
	"github.com/jmoiron/sqlx"
	"github.com/pressly/goose/v3"
)

//go:embed migrations/*.sql
var migrations embed.FS

// versions is where goose keeps which steps were taken.
const versions = "goose_db_version"

// inPlace is how the steps change tables. Adding a foreign key or a check, MariaDB otherwise copies a
// table and then puts the copy in its place: slow for a long log, and cut off between the two it may
// lose the table's other foreign keys. What holds for rows that were there before is each step's own
// business, and a step that cannot be taken in place is refused, unless it says "SET STATEMENT
// alter_algorithm = 'COPY' FOR".
var inPlace = map[string]string{"alter_algorithm": "'INPLACE'", "foreign_key_checks": "0", "check_constraint_checks": "0"}

// migrate brings the schema up to date. One program does so at a time; cut off at any
// moment, it can be done again, because each statement of each step can be repeated.
func migrate(ctx context.Context, c *mysql.Config) error {
	c = c.Clone()
	maps.Copy(c.Params, inPlace)
	db, err := sqlx.Open("mysql", c.FormatDSN())
	if err != nil {
		return fmt.Errorf("store: %w", err)
	}
	defer db.Close()
	alone, err := db.Connx(ctx)
	if err != nil {
		return fmt.Errorf("store: %w", err)
	}
	defer alone.Close()
	var got sql.NullInt64
	if err := alone.GetContext(ctx, &got, `SELECT GET_LOCK(CONCAT('schema of ', DATABASE()), 120)`); err != nil || got.Int64 != 1 {
		return fmt.Errorf("store: the schema is being brought up to date by another program: %w", err)
	}
	defer func() {
		_, _ = alone.ExecContext(context.WithoutCancel(ctx), `SELECT RELEASE_LOCK(CONCAT('schema of ', DATABASE()))`)
	}()

	dir, err := fs.Sub(migrations, "migrations")
	if err != nil {
		return err
	}
	p, err := goose.NewProvider(goose.DialectMySQL, db.DB, dir)
	if err != nil {
		return fmt.Errorf("store: migrations: %w", err)
	}
	if err := refuseNewer(ctx, alone, p); err != nil {
		return err
	}
	if _, err := p.Up(ctx); err != nil {
		return fmt.Errorf("store: the schema could not be brought up to date: %w", err)
	}
	return nil
}

// Behind says whether a database of some schema is behind the one this program knows, and which that is; a database
// without any is not.
func Behind(ctx context.Context, dsn string) (newest int64, behind bool, err error) {
	db, err := sqlx.Open("mysql", dsn)
	if err != nil {
		return 0, false, fmt.Errorf("store: %w", err)
	}
	defer db.Close()
	files, err := fs.Glob(migrations, "migrations/*.sql")
	if err != nil {
		return 0, false, err
	}
	if newest, err = goose.NumericComponent(files[len(files)-1]); err != nil {
		return 0, false, err
	}
	var at sql.NullInt64
	var begun bool
	if err := db.GetContext(ctx, &begun, `SELECT EXISTS (SELECT 1 FROM information_schema.tables
		WHERE table_schema = DATABASE() AND table_name = ?)`, versions); err != nil || !begun {
		return newest, false, err
	}
	err = db.GetContext(ctx, &at, `SELECT MAX(version_id) FROM `+versions+` WHERE is_applied`)
	return newest, at.Int64 > 0 && at.Int64 < newest, err
}

// refuseNewer refuses a database whose schema this program does not know, and mends what
// was left where the very first step was cut off: a list of steps without its first line.
func refuseNewer(ctx context.Context, db *sqlx.Conn, p *goose.Provider) error {
	var begun bool
	if err := db.GetContext(ctx, &begun, `SELECT EXISTS (SELECT 1 FROM information_schema.tables
		WHERE table_schema = DATABASE() AND table_name = ?)`, versions); err != nil || !begun {
		return err
	}
	var at sql.NullInt64
	if err := db.GetContext(ctx, &at, `SELECT MAX(version_id) FROM `+versions+` WHERE is_applied`); err != nil {
		return err
	}
	if !at.Valid {
		_, err := db.ExecContext(ctx, `INSERT INTO `+versions+` (version_id, is_applied) VALUES (0, TRUE)`)
		return err
	}
	sources := p.ListSources()
	if newest := sources[len(sources)-1].Version; at.Int64 > newest {
		return fmt.Errorf("the database was made by a newer Grey Pebble (schema %d, this one knows %d); "+
			"start that one, nothing was changed", at.Int64, newest)
	}
	return nil
}
