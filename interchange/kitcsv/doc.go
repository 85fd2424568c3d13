// Package kitcsv is the kit as a table: a header of field names with units, a line a
// thing. Reading takes any order of columns, decimal commas where fields are split by
// semicolons, and only the columns there are.
package kitcsv
