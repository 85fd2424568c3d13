package main

import (
	"bufio"
	"context"
	"errors"
	"fmt"
	"io"
	"os"
	"strings"
	"text/tabwriter"
	"time"

	"github.com/google/uuid"
	"golang.org/x/term"

	"greypebble/server/account"
	"greypebble/server/store"
)

type anglerCommand struct {
	Add      anglerAdd      `cmd:"" help:"Make an account."`
	List     anglerList     `cmd:"" help:"Who has an account, when they were last here, how much they keep."`
	Password anglerPassword `cmd:"" help:"Give an account a new password; its sessions end."`
	Remove   anglerRemove   `cmd:"" help:"Remove an account with everything in it."`
	Invite   anglerInvite   `cmd:"" help:"Print an invite that lets others make accounts."`
}

type passwordFlags struct {
	PasswordStdin bool `help:"Read the password from the first line of standard input instead of asking for it."`
}

type anglerAdd struct {
	databaseFlags
	passwordFlags
	Name string `arg:"" help:"What they sign in by."`
}

type anglerList struct{ databaseFlags }

type anglerPassword struct {
	databaseFlags
	passwordFlags
	Name string `arg:""`
}

type anglerRemove struct {
	databaseFlags
	Name string `arg:""`
	Yes  bool   `help:"Do not ask."`
}

type anglerInvite struct {
	databaseFlags
	Uses int    `default:"1" help:"How many it lets in."`
	Days int    `default:"14" help:"How long it holds."`
	Note string `help:"For whom."`
}

func (c anglerAdd) Run() error {
	name := strings.TrimSpace(c.Name)
	if name == "" || len([]rune(name)) > 60 {
		return errors.New("a name has 1 to 60 characters")
	}
	hash, err := c.ask(name)
	if err != nil {
		return err
	}
	return c.with(func(ctx context.Context, s *store.Store, _ string) error {
		err := s.AddAngler(ctx, store.Angler{ID: uuid.Must(uuid.NewV7()), Name: name, PasswordHash: hash})
		if errors.Is(err, store.ErrTaken) {
			return fmt.Errorf("there is an angler called %s already", name)
		}
		if err == nil {
			fmt.Printf("%s can sign in.\n", name)
		}
		return err
	})
}

// ask for a new password, twice where it is typed, and hash it.
func (f passwordFlags) ask(name string) (hash string, err error) {
	password := ""
	if f.PasswordStdin {
		line, err := bufio.NewReader(os.Stdin).ReadString('\n')
		if err != nil && !errors.Is(err, io.EOF) {
			return "", fmt.Errorf("the password cannot be read: %w", err)
		}
		password = strings.TrimRight(line, "\r\n")
	} else if password, err = typed(); err != nil {
		return "", err
	}
	if err := account.CheckPassword(name, password); err != nil {
		return "", err
	}
	return account.Hash(password)
}

func typed() (string, error) {
	fd := int(os.Stdin.Fd()) //nolint:gosec // a descriptor
	if !term.IsTerminal(fd) {
		return "", errors.New("there is no terminal to ask for a password on; use --password-stdin")
	}
	var twice [2]string
	for i, prompt := range []string{"Password: ", "Once more: "} {
		fmt.Fprint(os.Stderr, prompt)
		raw, err := term.ReadPassword(fd)
		fmt.Fprintln(os.Stderr)
		if err != nil {
			return "", fmt.Errorf("the password cannot be read: %w", err)
		}
		twice[i] = string(raw)
	}
	if twice[0] != twice[1] {
		return "", errors.New("the two passwords differ")
	}
	return twice[0], nil
}

func (c anglerList) Run() error {
	return c.with(func(ctx context.Context, s *store.Store, _ string) error {
		list, err := s.Members(ctx)
		if err != nil {
			return err
		}
		w := tabwriter.NewWriter(os.Stdout, 0, 4, 2, ' ', 0)
		fmt.Fprintln(w, "NAME\tSINCE\tLAST SEEN\tSPOTS\tSPELLS")
		for _, m := range list {
			seen := "never, or signed out"
			if m.Seen != nil {
				seen = m.Seen.Format(time.DateTime)
			}
			fmt.Fprintf(w, "%s\t%s\t%s\t%d\t%d\n", m.Name, m.Created.Format(time.DateOnly), seen, m.Spots, m.Spells)
		}
		return w.Flush()
	})
}

// named finds an angler by name.
func named(ctx context.Context, s *store.Store, name string) (store.Angler, error) {
	a, err := s.AnglerByName(ctx, account.NameKey(name))
	if errors.Is(err, store.ErrNotFound) {
		return a, fmt.Errorf("there is no angler called %s", name)
	}
	return a, err
}

func (c anglerPassword) Run() error {
	hash, err := c.ask(c.Name)
	if err != nil {
		return err
	}
	return c.with(func(ctx context.Context, s *store.Store, _ string) error {
		a, err := named(ctx, s, c.Name)
		if err != nil {
			return err
		}
		if err := s.SetPassword(ctx, a.ID, hash, uuid.Nil); err != nil {
			return err
		}
		fmt.Printf("%s has a new password and is signed out everywhere.\n", a.Name)
		return nil
	})
}

func (c anglerRemove) Run() error {
	return c.with(func(ctx context.Context, s *store.Store, _ string) error {
		a, err := named(ctx, s, c.Name)
		if err != nil {
			return err
		}
		b, err := s.BelongingsOf(ctx, a.ID)
		if err != nil {
			return err
		}
		what := fmt.Sprintf("%s with %d spots in %d waters, %d spells and %d catches", a.Name, b.Spots, b.Waters, b.Spells, b.Catches)
		if !c.Yes {
			fmt.Fprintf(os.Stderr, "Remove %s? It cannot be undone. Type the name: ", what)
			line, _ := bufio.NewReader(os.Stdin).ReadString('\n')
			if account.NameKey(line) != account.NameKey(a.Name) {
				return errors.New("nothing was removed")
			}
		}
		if err := s.DeleteAngler(ctx, a.ID); err != nil {
			return err
		}
		fmt.Printf("Removed %s.\n", what)
		return nil
	})
}

func (c anglerInvite) Run() error {
	if c.Uses < 1 || c.Days < 1 {
		return errors.New("an invite lets in one person at least, for a day at least")
	}
	return c.with(func(ctx context.Context, s *store.Store, _ string) error {
		i, err := account.NewInvite(ctx, s, nil, c.Note, c.Uses, c.Days, time.Now())
		if err == nil {
			fmt.Printf("%s\nIt lets %d in until %s.\n", i.Code, i.Uses, i.Expires.Format(time.DateTime)+" UTC")
		}
		return err
	})
}
