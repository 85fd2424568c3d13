package playbook

import (
	"embed"
	"sync"
)

// Book is a loaded playbook. It is not changed once loaded; [Book.Over] lays an
// angler's own over it.
type Book struct {
	Rules     []Rule
	Targets   []Target
	Offerings []Offering
	Rigs      []Rig
	Schools   []School
	// chosen positions by school, where they are not the defaults.
	chosen map[string]string
	// about holds the rules that speak of a target, by its id.
	about map[string][]int
	// shipped is the book this one was laid over; nil for the shipped one itself.
	shipped *Book
	// aside is what of an angler's did not fit.
	aside []SetAside
	// once keeps what others work out of the book.
	once sync.Map
}

// Once works something out of the book for the first who asks, under a name that can be compared, and
// keeps it.
// Several may do so at once, and get the same.
func (b *Book) Once(name any, make func() any) any {
	if v, done := b.once.Load(name); done {
		return v
	}
	v, _ := b.once.LoadOrStore(name, make())
	return v
}

// Shipped is the book without what an angler laid over it.
func (b *Book) Shipped() *Book {
	if b.shipped != nil {
		return b.shipped
	}
	return b
}

//go:embed *.yaml
var builtin embed.FS

// builtinFiles in the order in which they refer to each other.
var builtinFiles = []string{"schools.yaml", "rigs.yaml", "baits.yaml", "lures.yaml", "targets.yaml", "rules.yaml"}

// BuiltinFiles are the files of the playbook shipped with the program.
func BuiltinFiles() ([]File, error) {
	var files []File
	for _, name := range builtinFiles {
		raw, err := builtin.ReadFile(name)
		if err != nil {
			return nil, err
		}
		files = append(files, File{name, raw})
	}
	return files, nil
}

// Builtin is the playbook shipped with the program.
func Builtin() (*Book, error) {
	files, err := BuiltinFiles()
	if err != nil {
		return nil, err
	}
	return Load(files)
}
