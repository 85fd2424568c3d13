//go:build deps

package main
import (
 _ "github.com/go-chi/chi/v5"
 _ "github.com/danielgtaylor/huma/v2/adapters/humachi"
 _ "github.com/go-sql-driver/mysql"
 _ "github.com/jmoiron/sqlx"
 _ "github.com/pressly/goose/v3"
 _ "github.com/alexedwards/scs/v2"
 _ "github.com/alexedwards/scs/mysqlstore"
 _ "github.com/alexedwards/argon2id"
 _ "github.com/go-chi/httprate"
 _ "github.com/google/uuid"
 _ "github.com/alecthomas/kong"
 _ "go.yaml.in/yaml/v3"
 _ "gonum.org/v1/gonum/interp"
 _ "github.com/chromedp/chromedp"
)
