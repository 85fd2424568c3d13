package call

import (
	"encoding/json"
	"errors"
	"fmt"
	"net/url"
	"strings"
	"time"

	"greypebble/answer"
)

// asked is a request the server would be sent, were there signal.
type asked struct {
	// Path below /api/v1, with its query.
	Path string          `json:"path"`
	Body json.RawMessage `json:"body"`
	Now  time.Time       `json:"now"`
}

// reply is what the server would answer.
type reply struct {
	Status int `json:"status"`
	Body   any `json:"body"`
}

// problem document, as the server's.
type problem struct {
	Title  string    `json:"title"`
	Status int       `json:"status"`
	Detail string    `json:"detail"`
	Errors []located `json:"errors,omitempty"`
}

type located struct {
	Location string `json:"location"`
	Message  string `json:"message"`
}

// Statuses of replies, as HTTP has them: its package would make the program half as large again.
const (
	ok            = 200
	notFound      = 404
	unprocessable = 422
)

var titles = map[int]string{notFound: "Not Found", unprocessable: "Unprocessable Entity"}

// ErrNoPack says that nothing is kept that could be asked.
var ErrNoPack = errors.New("nothing is kept here to answer with")

// ErrNotHere says that only the server can answer that.
var ErrNotHere = errors.New("only the server can answer that")

// ask what is kept what the server would be asked.
func (c *Core) ask(in asked) (reply, error) {
	if c.kept == nil {
		return reply{}, ErrNoPack
	}
	u, err := url.Parse(in.Path)
	if err != nil {
		return reply{}, err
	}
	body, err := route(asking{c.kept, in.Now.UTC()}, u, in.Body)
	var wrong *answer.WrongError
	switch {
	case err == nil:
		return reply{ok, body}, nil
	case errors.As(err, &wrong):
		says := answer.Said(wrong)
		return refused(unprocessable, says, located{wrong.At, says}), nil
	case errors.Is(err, answer.ErrNotFound):
		return refused(notFound, "There is nothing here by that id."), nil
	}
	return reply{}, err
}

func refused(status int, says string, where ...located) reply {
	return reply{status, problem{titles[status], status, says, where}}
}

// route a question to who answers it.
func route(a asking, u *url.URL, body json.RawMessage) (any, error) {
	q := query{u.Query()}
	switch parts := strings.Split(strings.Trim(u.Path, "/"), "/"); {
	case u.Path == "/advise":
		return one(body, func(b *answer.AdviseBody) (any, error) { return answer.Advise(a, b) })
	case u.Path == "/advise/compare":
		return one(body, func(b *answer.CompareBody) (any, error) { return answer.CompareAdvice(a, b) })
	case u.Path == "/edge":
		return one(body, func(b *answer.EdgeBody) (any, error) { return answer.Edge(a, b) })
	case u.Path == "/keep":
		return one(body, func(b *answer.KeepBody) (any, error) { return answer.Keep(a, b) })
	case u.Path == "/day-card":
		return one(body, func(b *answer.DayCardBody) (any, error) { return answer.DayCard(a, b) })
	case u.Path == "/care":
		return one(body, func(b *answer.CareBody) (any, error) { return answer.Care(a, b) })
	case u.Path == "/care/ice":
		return one(body, func(b *answer.IceBody) (any, error) { return answer.ReckonIce(b) })
	case u.Path == "/care/live-bait":
		return one(body, func(b *answer.LiveBaitBody) (any, error) { return answer.ReckonLiveBait(b) })
	case u.Path == "/conditions":
		id, t, err := q.idAt(q.Get("spot_id"))
		if err != nil {
			return nil, err
		}
		return answer.SheetOf(a, id, t)
	case len(parts) == 3 && parts[0] == "spots" && parts[2] == "state":
		id, t, err := q.idAt(parts[1])
		if err != nil {
			return nil, err
		}
		return answer.StateOf(a, id, t)
	case len(parts) == 3 && parts[0] == "spots" && parts[2] == "elsewhere":
		id, t, err := q.idAt(parts[1])
		if err != nil {
			return nil, err
		}
		return answer.ElsewhereOf(a, id, answer.ElsewhereAsked{Target: q.Get("target"), Time: t})
	case len(parts) == 3 && parts[0] == "spots" && parts[2] == "ribbon":
		return q.ribbon(a, parts[1])
	case len(parts) == 3 && parts[0] == "spots" && parts[2] == "visits":
		return q.visits(a, parts[1])
	case u.Path == "/ahead":
		var in answer.AheadAsked
		if err := q.into(&in); err != nil {
			return nil, err
		}
		o, err := a.look(&in)
		if err != nil {
			return nil, err
		}
		return answer.AheadOf(o)
	case u.Path == "/ahead/windows":
		var in answer.WindowsAsked
		if err := q.into(&in); err != nil {
			return nil, err
		}
		if err := in.Check(); err != nil {
			return nil, err
		}
		o, err := a.look(&in.AheadAsked)
		if err != nil {
			return nil, err
		}
		return answer.WindowsOf(a, o, &in)
	}
	return nil, fmt.Errorf("%w: %s", ErrNotHere, u.Path)
}

// one question, with its body.
func one[B any](body json.RawMessage, f func(*B) (any, error)) (any, error) {
	var b B
	if err := json.Unmarshal(body, &b); err != nil {
		return nil, answer.Wrong("body", err)
	}
	return f(&b)
}
