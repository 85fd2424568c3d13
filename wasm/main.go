//go:build js && wasm

package main

import (
	"syscall/js"

	"greypebble/wasm/call"
)

func main() {
	var core call.Core
	// The page calls it with a name and JSON, and gets JSON; what went wrong is thrown there.
	js.Global().Set("greyPebble", js.FuncOf(func(_ js.Value, args []js.Value) any {
		out, err := core.Call(args[0].String(), []byte(args[1].String()))
		if err != nil {
			return js.Global().Get("Error").New(err.Error())
		}
		return string(out)
	}))
	select {}
}
