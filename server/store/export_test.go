package store

// CopiedAndKeptApart are the tables an export knows of.
func CopiedAndKeptApart() (out []string) {
	for _, t := range ownedTables {
		out = append(out, t.name)
	}
	for name := range keptApart {
		out = append(out, name)
	}
	return out
}
