// Greypebble is the program: it serves, shows the demo, and prints its API.
package main

import (
	"fmt"
	"os"
	_ "time/tzdata" // time zones on machines without their own

	"github.com/alecthomas/kong"

	"greypebble/server/api"
)

type program struct {
	Serve    serveCommand    `cmd:"" help:"Serve on an existing MariaDB."`
	Demo     demoCommand     `cmd:"" help:"Serve an invented coast on a private MariaDB."`
	Sim      simCommand      `cmd:"" help:"Simulated forecast service and sounder, able to fail on purpose."`
	Playbook playbookCommand `cmd:"" help:"Work on playbook files."`
	Openapi  openapiCommand  `cmd:"" help:"Print the API document."`
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

func main() {
	var p program
	k := kong.Parse(&p, kong.Name("greypebble"),
		kong.Description("The tide desk of a person who fishes from the shore, a pier or a kayak."))
	if err := k.Run(); err != nil {
		fmt.Fprintln(os.Stderr, "greypebble:", err)
		os.Exit(1)
	}
}
