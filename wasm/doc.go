// Command wasm is the core in the browser: with no signal the page asks it what it asks the server
// otherwise, and gets the same numbers. It is built for js/wasm only.
package main
