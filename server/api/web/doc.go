// Package web is what every room of the API stands on: who is asking and with which book,
// units and clock ([Scope]); how an operation is registered ([Signed], [Open]); how what
// went wrong is told ([Wrong], [Failed]); and how a file arrives ([Uploaded]).
package web
