// Shots takes the pictures of docs/screenshots from the demo data.
package main

import (
	"flag"
	"fmt"
	"os"
	"path/filepath"
	"strings"

	"greypebble/demo"
	"greypebble/e2e/browser"
	"greypebble/testkit"
)

// shot is one picture: where, how large, and what a person does first.
type shot struct {
	name  string
	size  browser.Size
	path  string
	light string
	setUp func(p *browser.Page) error
	// steps of ten minutes the ribbon is moved on by.
	steps int
}

func click(texts ...string) func(p *browser.Page) error {
	return func(p *browser.Page) error {
		for _, t := range texts {
			if err := p.Click(t); err != nil {
				return err
			}
			if err := p.Still(); err != nil {
				return err
			}
		}
		return nil
	}
}

// seek another target.
func seek(target string) func(p *browser.Page) error {
	return func(p *browser.Page) error {
		if _, err := browser.Eval[any](p, `(document.querySelector('.asked > summary').click(), 1)`); err != nil {
			return err
		}
		return click(target)(p)
	}
}

var shots = []shot{
	{name: "ahead", size: browser.Desk, path: "/ahead"},
	{name: "ahead-phone", size: browser.Phone, path: "/ahead"},
	{name: "water", size: browser.Desk, path: "/water", steps: 14},
	{name: "map", size: browser.Desk, path: "/water", steps: 46, setUp: click("Map")},
	{name: "spot", size: browser.Desk, path: "/water", steps: 40, setUp: editor},
	{name: "surf-phone", size: browser.Phone, path: "/water", steps: 40, setUp: surf},
	{name: "fish-glare-phone", size: browser.Phone, path: "/fish", light: "glare", setUp: fishing},
	{name: "hand-phone", size: browser.Phone, path: "/fish/hand", setUp: inHand},
	{name: "first-place-phone", size: browser.Phone, path: "/begin", setUp: firstPlace},
	{name: "water-glare-phone", size: browser.Phone, path: "/water", light: "glare", steps: 34},
	{name: "tie-on", size: browser.Desk, path: "/tie-on", steps: 28, setUp: seek("Spotted seatrout")},
	{name: "tie-on-phone", size: browser.Phone, path: "/tie-on", steps: 28},
	{name: "back", size: browser.Desk, path: "/back"},
	{name: "set-up", size: browser.Desk, path: "/set-up/bylaws"},
	{name: "kit", size: browser.Desk, path: "/set-up/kit"},
	{name: "plan", size: browser.Desk, path: "/ahead", setUp: planned},
	{name: "bench", size: browser.Desk, path: "/tie-on/bench/plug", steps: 36},
	{name: "rig-card", size: browser.Desk, path: "/tie-on/cards/double-dropper"},
	{name: "entry-phone", size: browser.Phone, path: "/water", setUp: click("Blank")},
}

// showing does something, then scrolls to what is to be seen.
func showing(p *browser.Page, selector string, texts ...string) error {
	if err := click(texts...)(p); err != nil {
		return err
	}
	if err := p.Wait(`document.querySelector('` + selector + `')`); err != nil {
		return err
	}
	if err := p.Still(); err != nil {
		return err
	}
	_, err := browser.Eval[any](p, `(document.querySelector('`+selector+`').scrollIntoView(), 1)`)
	return err
}

// top of what is shown, nothing in it being typed into.
func top(p *browser.Page) error {
	_, err := browser.Eval[any](p, `(document.activeElement.blur(), document.querySelector('.main').scrollTo(0, 0), 1)`)
	return err
}

// fishing from a bank whose way shuts soon, with a fish landed.
func fishing(p *browser.Page) error {
	for _, step := range []func() error{
		func() error { return p.WaitText("Go fishing") },
		func() error { return p.Fill("Where", "Withy") },
		func() error { return p.Type("\r") },
		func() error { return p.Fill("On the hook", "White paddle tail") },
		func() error { return p.Click("Begin") },
		func() error { return p.WaitText("Rod-hours") },
		func() error { return p.Click("Hooked") },
		func() error { return p.Click("Landed") },
		func() error { return p.WaitText("Landed: noted.") },
		func() error { return p.WaitText("All told to the server.") },
		func() error { return top(p) },
	} {
		if err := step(); err != nil {
			return err
		}
	}
	return nil
}

// inHand is a drum at the margin.
func inHand(p *browser.Page) error {
	if err := p.Pick("Which fish", "Red drum"); err != nil {
		return err
	}
	if err := p.Fill("Length", "46.4"); err != nil {
		return err
	}
	return p.WaitText("inside the limit")
}

func editor(p *browser.Page) error { return showing(p, ".spot-ground", "Change Kettle Bar") }

func surf(p *browser.Page) error {
	return showing(p, ".surf", "Spot", "Long Strand", "Mark the white water", "Add a line of breakers")
}

// planned is a day over two spots that was kept.
func planned(p *browser.Page) error {
	if err := p.Click("Plan it"); err != nil {
		return err
	}
	two := `[...document.querySelectorAll('.day-plans > li')].find((l) => l.querySelectorAll('li').length === 2)`
	if err := p.Wait(two); err != nil {
		return err
	}
	if _, err := browser.Eval[any](p, `(`+two+`.querySelector('.ant-btn').click(), 1)`); err != nil {
		return err
	}
	return p.Wait(`document.querySelectorAll('.day-stops > li').length === 2`)
}

// firstPlace is a kind of place being bent to one's own, with the invented coast's tide.
func firstPlace(p *browser.Page) error {
	var b strings.Builder
	b.WriteString("name,amplitude_m,phase_deg\\nZ0,0.95,0\\n")
	for _, c := range demo.Constituents() {
		fmt.Fprintf(&b, "%s,%v,%v\\n", c.Name, c.AmplitudeM, c.PhaseDeg)
	}
	hand := `(() => { const d = new DataTransfer();
		d.items.add(new File(["` + b.String() + `"], 'Tern Head.csv', {type: 'text/csv'}));
		const i = document.querySelector('.file input'); i.files = d.files;
		i.dispatchEvent(new Event('change', {bubbles: true})); return 1; })()`
	for _, step := range []func() error{
		func() error { return p.Fill("What you call the water", "Rill Mouth") },
		func() error { return p.Fill("Latitude, longitude", "31.2, -45.1") },
		func() error { return p.Type("\r") },
		func() error { return p.Click("Go on") },
		func() error { return p.Click("A file of constituents") },
		func() error { return p.Wait(`document.querySelector('.file input')`) },
		func() error { _, err := browser.Eval[any](p, hand); return err },
		func() error { return p.Click("Keep the station") },
		func() error { return p.Click("Oyster bar") },
		func() error { return p.Wait(`document.querySelector('.bend-asks input')`) },
		func() error { return p.Fill("How deep is the channel beside it?", "2.6") },
		func() error {
			return p.Wait(`[...document.querySelectorAll('.profile .depth')].some((e) => e.textContent === '2.60 m')`)
		},
		func() error { return top(p) },
	} {
		if err := step(); err != nil {
			return err
		}
	}
	return nil
}

func main() {
	out := flag.String("out", "docs/screenshots", "directory for the pictures")
	only := flag.String("only", "", "take only pictures whose name holds this")
	flag.Parse()
	if err := run(*out, *only); err != nil {
		fmt.Fprintln(os.Stderr, "shots:", err)
		os.Exit(1)
	}
}

func run(out, only string) error {
	if err := os.MkdirAll(out, 0o755); err != nil {
		return err
	}
	server, err := testkit.Start()
	if err != nil {
		return err
	}
	defer server.Stop()
	if err := server.LoadDemo(); err != nil {
		return err
	}
	b, err := browser.Open()
	if err != nil {
		return err
	}
	defer b.Close()
	for _, s := range shots {
		if !strings.Contains(s.name, only) {
			continue
		}
		if err := s.take(b, server.URL, out); err != nil {
			return fmt.Errorf("%s: %w", s.name, err)
		}
		fmt.Println(s.name)
	}
	return nil
}

func (s shot) take(b *browser.Browser, url, out string) error {
	p, err := b.Page(url, s.size)
	if err != nil {
		return err
	}
	defer p.Close()
	if err := p.Go("/"); err != nil {
		return err
	}
	if err := p.WaitText("Sign in"); err != nil {
		return err
	}
	if s.path != "" {
		if err := s.arrange(p); err != nil {
			return err
		}
	}
	if err := p.Still(); err != nil {
		return err
	}
	png, err := p.Shot()
	if err != nil {
		return err
	}
	return os.WriteFile(filepath.Join(out, s.name+".png"), png, 0o644)
}

func (s shot) arrange(p *browser.Page) error {
	if err := p.SignIn("wren", demo.Password); err != nil {
		return err
	}
	// Pictures begin at the bar.
	if _, err := browser.Eval[any](p, `(localStorage.setItem('greypebble.spot', `+
		`'`+demo.SpotID("Kettle Bar")+`'), localStorage.setItem('greypebble.light', '`+s.light+`'))`); err != nil {
		return err
	}
	if err := p.Go(s.path); err != nil {
		return err
	}
	if err := p.Wait(`document.querySelector('.ribbon svg, .setup .panel, [data-spell], .one-card, .first-water input, '+
		'.fish .panel, .hand .panel')`); err != nil {
		return err
	}
	if err := p.Type(strings.Repeat(".", s.steps)); err != nil {
		return err
	}
	if s.setUp != nil {
		return s.setUp(p)
	}
	return nil
}
