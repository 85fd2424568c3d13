// Greypebble is the program: it serves, shows the demo, and prints its API.
package main

import (
	"encoding/json"
	"fmt"
	"os"
	_ "time/tzdata" // time zones on machines without their own

	"github.com/alecthomas/kong"

	"greypebble/core/quantity"
	"greypebble/server/api"
)

type program struct {
	Settings kong.ConfigFlag `name:"settings" env:"GREYPEBBLE_SETTINGS" help:"YAML file of flags by their names."`

	Serve    serveCommand    `cmd:"" help:"Serve, on a MariaDB that is there or on a private one."`
	Demo     demoCommand     `cmd:"" help:"Serve an invented coast on a private MariaDB."`
	Angler   anglerCommand   `cmd:"" help:"Accounts: add, list, password, remove, invite."`
	Backup   backupCommand   `cmd:"" help:"Write the whole database into a file, while it is in use."`
	Restore  restoreCommand  `cmd:"" help:"Put a backup into an empty database."`
	Sim      simCommand      `cmd:"" help:"Simulated forecast service and sounder, able to fail on purpose."`
	Playbook playbookCommand `cmd:"" help:"Work on playbook files."`
	Openapi  openapiCommand  `cmd:"" help:"Print the API document."`
	Units    unitsCommand    `cmd:"" help:"Print the table of units."`
}

type openapiCommand struct{}

func (openapiCommand) Run() error {
	doc, err := api.OpenAPI()
	if err != nil {
		return err
	}
	_, err = os.Stdout.Write(doc)
	return err
}

type unitsCommand struct{}

func (unitsCommand) Run() error {
	e := json.NewEncoder(os.Stdout)
	e.SetIndent("", "  ")
	e.SetEscapeHTML(false)
	return e.Encode(quantity.TheTable())
}

func main() {
	var p program
	k := kong.Parse(&p, kong.Name("greypebble"), kong.Configuration(settingsFile),
		kong.Description("The tide desk of a person who fishes from the shore, a pier or a kayak."))
	if err := k.Run(); err != nil {
		fmt.Fprintln(os.Stderr, "greypebble:", err)
		os.Exit(1)
	}
}
