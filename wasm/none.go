//go:build !js

package main

func main() { panic("wasm: build it with GOOS=js GOARCH=wasm") }
