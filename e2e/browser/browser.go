// Package browser drives Debian's Chromium as a person would: it looks for
// things by what they say, clicks with the mouse, types on the keyboard.
package browser

import (
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"os"
	"strconv"
	"time"

	"github.com/chromedp/cdproto/cdp"
	"github.com/chromedp/cdproto/emulation"
	"github.com/chromedp/cdproto/input"
	"github.com/chromedp/cdproto/network"
	"github.com/chromedp/cdproto/page"
	"github.com/chromedp/cdproto/serviceworker"
	"github.com/chromedp/chromedp"
)

// Browser is one running Chromium.
type Browser struct {
	ctx    context.Context
	cancel context.CancelFunc
	dir    string
}

// Open starts Chromium.
func Open() (*Browser, error) {
	dir, err := os.MkdirTemp("", "greypebble-chromium-")
	if err != nil {
		return nil, err
	}
	return OpenIn(dir)
}

// OpenIn starts Chromium on a directory in which it keeps what pages keep: opened on it again, it has that.
func OpenIn(dir string) (*Browser, error) {
	options := append(chromedp.DefaultExecAllocatorOptions[:], chromedp.ExecPath("/usr/bin/chromium"), chromedp.UserDataDir(dir),
		chromedp.NoSandbox, chromedp.Flag("disable-gpu", true), chromedp.Flag("disable-quic", true),
		chromedp.Flag("disable-background-networking", true),
		chromedp.Flag("disable-component-update", true), chromedp.Flag("force-color-profile", "srgb"),
		chromedp.Flag("hide-scrollbars", true))
	allocated, stop := chromedp.NewExecAllocator(context.Background(), options...)
	ctx, cancel := chromedp.NewContext(allocated)
	b := &Browser{ctx, func() { cancel(); stop() }, dir}
	// The first run starts the process; a timeout on it would end the browser.
	if err := chromedp.Do(ctx, chromedp.Navigate("about:blank")); err != nil {
		b.Close()
		return nil, fmt.Errorf("chromium did not start: %w", err)
	}
	return b, nil
}

// Quit ends it as a person does, and leaves its directory.
func (b *Browser) Quit() error {
	err := chromedp.Cancel(b.ctx)
	b.cancel()
	return err
}

// Kill ends its process as a device that takes memory back does, and leaves its directory.
func (b *Browser) Kill() {
	if p := chromedp.FromContext(b.ctx).Browser.Process(); p != nil {
		_ = p.Kill()
	}
	b.cancel()
}

// Close ends it.
func (b *Browser) Close() {
	b.cancel()
	_ = os.RemoveAll(b.dir)
}

// Size of a page in CSS pixels.
type Size struct {
	Width, Height int64
	Phone         bool
}

// The two sizes the program is made for.
var (
	Desk  = Size{1280, 800, false}
	Phone = Size{390, 844, true}
)

// Page is a tab with cookies of its own.
type Page struct {
	// Angler who signed in last.
	Angler string

	ctx    context.Context
	cancel context.CancelFunc
	base   string
}

// patience is how long something is waited for. A person would not wait so long, but a machine that runs tests
// may stand still for seconds, and what does not come is told as surely later.
const patience = time.Minute

// milliseconds of it, for the page.
var milliseconds = strconv.FormatInt(patience.Milliseconds(), 10)

// Page opens a tab on a site. Every page is a person of their own: it shares no
// cookies with others.
func (b *Browser) Page(base string, s Size) (*Page, error) {
	p, err := b.page(base, s, chromedp.WithNewBrowserContext())
	if err != nil {
		return nil, err
	}
	// The page for when there is no signal is tried by tests of its own: elsewhere it would hide that.
	if _, err := chromedp.Call(p.ctx, page.AddScriptToEvaluateOnNewDocument, page.AddScriptToEvaluateOnNewDocumentParams{
		Source: `Object.defineProperty(navigator, 'serviceWorker', {value: undefined})`}); err != nil {
		p.cancel()
		return nil, err
	}
	return p, nil
}

// Own opens a tab whose cookies and whatever else it keeps lie in the browser's directory, a page for when
// there is no signal too.
func (b *Browser) Own(base string, s Size) (*Page, error) { return b.page(base, s) }

func (b *Browser) page(base string, s Size, how ...chromedp.ContextOption) (*Page, error) {
	ctx, cancel := chromedp.NewContext(b.ctx, how...)
	view := []chromedp.EmulateViewportOption{}
	if s.Phone {
		view = append(view, chromedp.EmulateScale(2), chromedp.EmulateMobile, chromedp.EmulateTouch)
	}
	if err := chromedp.Do(ctx, chromedp.EmulateViewport(s.Width, s.Height, view...)); err != nil {
		cancel()
		return nil, err
	}
	_, err := chromedp.Call(ctx, page.AddScriptToEvaluateOnNewDocument, page.AddScriptToEvaluateOnNewDocumentParams{Source: underWay})
	if err != nil {
		cancel()
		return nil, err
	}
	return &Page{ctx: ctx, cancel: cancel, base: base}, nil
}

// Close the tab.
func (p *Page) Close() { p.cancel() }

func (p *Page) do(actions ...chromedp.Action[chromedp.Void]) error {
	ctx, cancel := context.WithTimeout(p.ctx, 2*patience)
	defer cancel()
	return chromedp.Do(ctx, actions...)
}

// Go to an address of the site.
func (p *Page) Go(path string) error { return p.do(chromedp.Navigate(p.base + path)) }

// Eval runs an expression in the page and decodes what it gives.
func Eval[T any](p *Page, expression string) (T, error) {
	ctx, cancel := context.WithTimeout(p.ctx, 4*patience)
	defer cancel()
	var v T
	raw, err := chromedp.Run(ctx, chromedp.Evaluate[[]byte](`Promise.resolve(`+expression+`).then(v => JSON.stringify(v ?? null))`,
		chromedp.EvalAwaitPromise))
	if err != nil {
		return v, fmt.Errorf("%s: %w", expression, err)
	}
	var text string
	if err := json.Unmarshal(raw, &text); err != nil {
		return v, err
	}
	return v, json.Unmarshal([]byte(text), &v)
}

// Wait until an expression is true.
func (p *Page) Wait(expression string) error {
	deadline := time.Now().Add(patience)
	again := time.NewTicker(40 * time.Millisecond)
	defer again.Stop()
	for {
		ok, err := Eval[bool](p, `!!(`+expression+`)`)
		if err == nil && ok {
			return nil
		}
		if time.Now().After(deadline) {
			if len(expression) > 200 {
				expression = expression[:200] + "…"
			}
			text, _ := Eval[string](p, `document.body.innerText.slice(0, 900)`)
			return fmt.Errorf("waited %s for %s (%w); the page says:\n%s", patience, expression,
				errors.Join(errors.New("not yet"), err), text)
		}
		<-again.C
	}
}

// Still waits until a page is at rest: no request is under way, nothing moves or fades,
// and nothing has changed for a fifth of a second's frames.
func (p *Page) Still() error {
	rests, err := Eval[bool](p, `new Promise((done) => {
		const until = performance.now() + `+milliseconds+`;
		let same = 0, was = '';
		const look = () => {
			const now = document.documentElement.outerHTML;
			same = now === was && !window.underWay && !`+moving+`(document.documentElement, true) ? same + 1 : 0;
			was = now;
			if (same >= 12) return done(true);
			performance.now() > until ? done(false) : requestAnimationFrame(look);
		};
		look();
	})`)
	if err == nil && !rests {
		err = fmt.Errorf("browser: after %s the page is not at rest", patience)
	}
	return err
}

// moving says whether a finite animation runs on an element, on one that holds it or, if
// asked, on one within it.
const moving = `((e, within) => document.getAnimations().some((a) => a.playState === 'running' &&
	Number.isFinite(a.effect?.getComputedTiming().endTime)
	&& (a.effect.target?.contains(e) || within && e.contains(a.effect.target))))`

// underWay counts a page's requests, so that one can wait for their answers. Where Straggle was
// asked for, each address is answered up to a quarter of a second late, by a lot of its own.
const underWay = `(() => { const ask = window.fetch; window.underWay = 0;
	const lot = (text) => [...text].reduce((h, c) => (Math.imul(h ^ c.charCodeAt(0), 16777619) >>> 0), 2166136261) / 2 ** 32;
	const late = (a) => { const salt = localStorage.getItem('e2e.straggle');
		return salt ? new Promise((r) => setTimeout(r, 250 * lot(salt + (a[0]?.url ?? a[0])))) : Promise.resolve(); };
	window.fetch = (...a) => { window.underWay++;
		return late(a).then(() => ask(...a)).finally(() => window.underWay--); }; })()`

// Straggle has the pages that follow get their answers late and out of order, in an order that
// a salt decides: what is built as answers arrive must not depend on which comes first.
func (p *Page) Straggle(salt string) error {
	_, err := Eval[any](p, `localStorage.setItem('e2e.straggle', `+quote(salt)+`)`)
	return err
}

// WaitText until the page shows a text.
func (p *Page) WaitText(text string) error {
	return p.Wait(fmt.Sprintf(`document.body.innerText.includes(%s)`, quote(text)))
}

func quote(s string) string {
	raw, _ := json.Marshal(s)
	return string(raw)
}

// find gives the middle of the visible thing a person would click for a text.
const find = `((text) => {
  const seen = (e) => { const r = e.getBoundingClientRect(); return r.width > 0 && r.height > 0 &&
	getComputedStyle(e).visibility !== 'hidden'; };
  const says = (e) => [(e.innerText ?? '').trim(), e.getAttribute('aria-label') ?? '', e.getAttribute('title') ?? '',
	e.getAttribute('placeholder') ?? ''];
  const kinds = 'button, a, summary, [role=option], .ant-select-item-option, .ant-segmented-item, label, '
    + '[role=combobox], input, textarea, select';
  const all = [...document.querySelectorAll(kinds)].filter(seen);
  let e = all.find((e) => says(e).includes(text)) ?? all.find((e) => says(e).some((s) => s.startsWith(text)))
    ?? all.find((e) => e.tagName === 'SUMMARY' && e.innerText.includes(text));
  if (!e) return null;
  const field = e.htmlFor ? document.getElementById(e.htmlFor) : null;
  e = field?.closest('.ant-select') ?? field ?? e;
  e.scrollIntoView({block: 'center', inline: 'center'});
  return e;
})`

// settled gives the middle of what find gives once it stands still: what has just appeared
// may still move.
var settled = `((look) => new Promise((done) => {
  const until = performance.now() + ` + milliseconds + `;
  let same = 0, was = '';
  const again = () => {
    const e = look();
    if (performance.now() > until) return done(null);
    if (!e) { same = 0; return requestAnimationFrame(again); }
    const r = e.getBoundingClientRect();
    const at = [r.x + r.width / 2, r.y + r.height / 2];
    same = String(at) === was && !` + moving + `(e, false) ? same + 1 : 0;
    was = String(at);
    same >= 3 ? done(at) : requestAnimationFrame(again);
  };
  again();
}))`

// Click what says a text, or begins with it; a row that unfolds need only hold it.
func (p *Page) Click(text string) error {
	if err := p.Wait(find + `(` + quote(text) + `)`); err != nil {
		return fmt.Errorf("nothing to click says %q: %w", text, err)
	}
	at, err := Eval[*[2]float64](p, settled+`(() => `+find+`(`+quote(text)+`))`)
	if err != nil {
		return err
	}
	if at == nil {
		return fmt.Errorf("browser: %q does not stand still", text)
	}
	return p.do(chromedp.MouseClickXY(at[0], at[1]))
}

// Fill a field found by its label: click into it, clear it, type.
func (p *Page) Fill(label, text string) error {
	field := fmt.Sprintf(`(() => { const all = [...document.querySelectorAll('label')];
    const l = all.find((l) => l.innerText.trim() === %[1]s) ?? all.find((l) => l.innerText.trim().startsWith(%[1]s));
    const e = (l && (document.getElementById(l.htmlFor) ?? l.querySelector('input, textarea'))) ??
	document.querySelector('[aria-label=' + JSON.stringify(%[1]s) + ']');
    if (!e) return null; e.scrollIntoView({block: 'center'}); e.focus(); e.select?.(); return true; })()`, quote(label))
	if err := p.Wait(field); err != nil {
		return fmt.Errorf("no field is labelled %q: %w", label, err)
	}
	return p.Type(text)
}

// Pick an option, near the top, of the list with a label as it is read out.
func (p *Page) Pick(label, option string) error {
	picked, err := Eval[bool](p, `(async () => {
		const frame = () => new Promise((r) => requestAnimationFrame(r));
		const moves = `+moving+`;
		const input = document.querySelector('[aria-label=' + JSON.stringify(`+quote(label)+`) + ']');
		if (!input) return false;
		input.scrollIntoView({block: 'center'});
		const box = input.closest('.ant-select');
		box.dispatchEvent(new MouseEvent('mousedown', {bubbles: true}));
		(box.querySelector('.ant-select-selector, .ant-select-content') ?? box).dispatchEvent(new MouseEvent('mousedown', {bubbles: true}));
		const until = performance.now() + `+milliseconds+`;
		for (let n = 0; performance.now() < until; n++) {
			await frame();
			const open = [...document.querySelectorAll('.ant-select-dropdown:not(.ant-select-dropdown-hidden)')].at(-1);
			if (!open || moves(open, true)) continue;
			const hit = [...open.querySelectorAll('.ant-select-item-option')].find((o) => o.innerText.trim() === `+quote(option)+`);
			if (hit) {
				hit.click();
				for (let m = 0; m < 120 && (m < 2 || moves(open, true)); m++) await frame();
				return true;
			}
			const list = open.querySelector('.rc-virtual-list-holder');
			if (list && n % 4 === 0) list.scrollTop += 180;
		}
		return false;
	})()`)
	if err == nil && !picked {
		err = fmt.Errorf("browser: no option %q in the list %q", option, label)
	}
	return err
}

// Type on the keyboard.
func (p *Page) Type(text string) error { return p.do(chromedp.KeyEvent(text)) }

// Touch a point of the screen.
func (p *Page) Touch(x, y float64) error { return p.do(chromedp.MouseClickXY(x, y)) }

// Drag with the mouse from one point to another.
func (p *Page) Drag(x1, y1, x2, y2 float64) error {
	steps := []chromedp.Action[chromedp.Void]{chromedp.MouseEvent(chromedp.MousePressed, x1, y1, chromedp.ButtonLeft, once)}
	const n = 12
	for i := 1; i <= n; i++ {
		k := float64(i) / n
		steps = append(steps, chromedp.MouseEvent(chromedp.MouseMoved, x1+(x2-x1)*k, y1+(y2-y1)*k, held))
	}
	return p.do(append(steps, chromedp.MouseEvent(chromedp.MouseReleased, x2, y2, chromedp.ButtonLeft, once))...)
}

func held(p *input.DispatchMouseEventParams) {
	p.Button, p.Buttons = input.MouseButtonLeft, 1
}

func once(p *input.DispatchMouseEventParams) { p.ClickCount = 1 }

// Shot of the page as PNG.
func (p *Page) Shot() ([]byte, error) {
	ctx, cancel := context.WithTimeout(p.ctx, 2*patience)
	defer cancel()
	return chromedp.Run(ctx, chromedp.CaptureScreenshot())
}

// OnPaper shows the page as it would be printed, or as it is on screen again.
func (p *Page) OnPaper(printed bool) error {
	media := map[bool]string{true: "print"}[printed]
	_, err := chromedp.Call(p.ctx, emulation.SetEmulatedMedia, emulation.SetEmulatedMediaParams{Media: media})
	return err
}

// SignIn on the first page.
func (p *Page) SignIn(name, password string) error {
	for _, step := range []func() error{
		func() error { return p.Fill("Name", name) },
		func() error { return p.Fill("Password", password) },
		// The ribbon whole, on a phone too.
		func() error {
			_, err := Eval[any](p, `(localStorage.setItem('greypebble.ribbon', 'open'), 1)`)
			return err
		},
		func() error { return p.Click("Sign in") },
		func() error { return p.Wait(`document.querySelector('.ribbon svg')`) },
	} {
		if err := step(); err != nil {
			return err
		}
	}
	p.Angler = name
	return nil
}

// conditions of the network as Chromium took them for the whole page before rules
// for single requests came; some builds know only one of the two.
type conditions struct {
	Offline  bool    `json:"offline"`
	Latency  float64 `json:"latency"`
	Download float64 `json:"downloadThroughput"`
	Upload   float64 `json:"uploadThroughput"`
}

var wholePage = cdp.Command[conditions, struct{}]{Method: "Network.emulateNetworkConditions"}

// Synced tells the service worker of a site that there is signal again, as the browser does when no page of it is open.
func (p *Page) Synced(origin, tag string) error {
	if _, err := chromedp.Call(p.ctx, serviceworker.Enable, cdp.Empty{}); err != nil {
		return err
	}
	var err error
	// The first registration of a browser has the number 0; some count from 1.
	for _, id := range []serviceworker.RegistrationID{"0", "1"} {
		_, err = chromedp.Call(p.ctx, serviceworker.DispatchSyncEvent,
			serviceworker.DispatchSyncEventParams{Origin: origin, RegistrationID: id, Tag: tag})
	}
	return err
}

// Signal gives or takes the network from the page.
func (p *Page) Signal(there bool) error {
	if _, err := chromedp.Call(p.ctx, wholePage, conditions{Offline: !there, Download: -1, Upload: -1}); err == nil {
		return nil
	}
	rules := network.EmulateNetworkConditionsByRuleParams{MatchedNetworkConditions: []*network.Conditions{}}
	if !there {
		rules.MatchedNetworkConditions = []*network.Conditions{{Offline: true, DownloadThroughput: -1, UploadThroughput: -1}}
	}
	_, err := chromedp.Call(p.ctx, network.EmulateNetworkConditionsByRule, rules)
	return err
}
