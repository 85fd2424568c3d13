package care_test

import (
	"os"
	"testing"

	"greypebble/testkit"
)

var kit *testkit.Server

type object = testkit.Object

func TestMain(m *testing.M) { os.Exit(testkit.Run(m, &kit)) }
