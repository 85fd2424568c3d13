package evidence_test

import (
	"os"
	"testing"

	"greypebble/testkit"
)

var kit *testkit.Server

func TestMain(m *testing.M) { os.Exit(testkit.Run(m, &kit)) }

type (
	object  = testkit.Object
	problem = testkit.Problem
)
