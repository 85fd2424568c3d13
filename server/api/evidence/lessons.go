package evidence

import (
	"cmp"
	"context"
	"slices"
	"time"

	"greypebble/core/advise"
	"greypebble/core/evidence"
	"greypebble/core/quantity"
	"greypebble/core/sweep"
	"greypebble/server/api/web"
	"greypebble/server/desk"
)

type lessonOut struct {
	SpotID   string    `json:"spot_id"`
	SpotName string    `json:"spot_name"`
	TimeZone string    `json:"time_zone"`
	Time     time.Time `json:"time" doc:"the middle of it"`
	Hours    float64   `json:"hours" doc:"it lasts"`
	Drop     float64   `json:"drop" doc:"share of what is not known of the rules that it would take away"`
	Expected float64   `json:"expected" doc:"fish in it"`
	Of       []string  `json:"of" nullable:"false" doc:"the rules it would teach most of, in words"`
}

type lessonsOutput struct {
	Body struct {
		Lessons []lessonOut `json:"lessons" nullable:"false" doc:"the most first, each at another spot"`
	}
}

const (
	// lessonDays ahead are looked through, every lessonStep; a lesson is fished so long.
	lessonDays  = 7
	lessonStep  = 3 * time.Hour
	lessonHours = 2.0
	mostLessons = 3
	// mostLessonSpots are looked at.
	mostLessonSpots = 20
)

// lessons of the next days: spells at one's spots, while their ways are open and it is day, that would teach most.
func (s service) lessons(ctx context.Context, as *web.Scope, in *TargetQuery) (*lessonsOutput, error) {
	a, err := s.about(ctx, as, in.Target)
	if err != nil {
		return nil, err
	}
	laid, err := s.Desk.Spots(ctx, as.Angler, as.Now())
	if err != nil {
		return nil, err
	}
	laid = slices.DeleteFunc(slices.Clone(laid), func(l *desk.Laid) bool {
		return len(l.Marks) == 0 || !a.target.LivesAbout(l.Place, l.LatLon)
	})
	laid = laid[:min(mostLessonSpots, len(laid))]
	from := as.Now().Truncate(time.Hour).Add(time.Hour)
	perSpot := int(lessonDays * 24 * time.Hour / lessonStep)
	found := make([]lessonOut, len(laid)*perSpot)
	errs := make([]error, len(found))
	sweep.Parallel(len(found), func(i int) {
		found[i], errs[i] = a.lesson(as.Units, laid[i/perSpot], from.Add(time.Duration(i%perSpot)*lessonStep))
	})
	for _, err := range errs {
		if err != nil {
			return nil, err
		}
	}
	slices.SortStableFunc(found, func(a, b lessonOut) int { return cmp.Compare(b.Drop, a.Drop) })
	out := &lessonsOutput{}
	out.Body.Lessons = []lessonOut{}
	for _, l := range found {
		if l.Drop > 0 && len(out.Body.Lessons) < mostLessons &&
			!slices.ContainsFunc(out.Body.Lessons, func(o lessonOut) bool { return o.SpotID == l.SpotID }) {
			out.Body.Lessons = append(out.Body.Lessons, l)
		}
	}
	return out, nil
}

// lesson at a spot and a time; nothing where one cannot fish then.
func (a *about) lesson(u quantity.Units, sp *desk.Laid, t time.Time) (lessonOut, error) {
	if sp.Closing(t) != nil || sp.Unsought(a.target.Species(), t) != nil || !sp.OpenToday(t) {
		return lessonOut{}, nil
	}
	m, _, err := sp.At(t, time.Hour, time.Hour)
	if err != nil || m.Sun.Altitude <= 0 || !sp.Access.Passable(m.LevelM) {
		return lessonOut{}, err
	}
	c, fishable, err := advise.Fished(advise.Question{Book: a.book, Target: a.target, Spot: &sp.Spot.Spot, Time: t}, advise.MyWay{})
	if err != nil || !fishable {
		return lessonOut{}, err
	}
	l := a.belief.Lesson(&evidence.Spell{Target: a.target.ID, Spot: sp.ID.String(), RodHours: lessonHours, Rules: evidence.SpokeOf(c)})
	out := lessonOut{SpotID: sp.ID.String(), SpotName: sp.Name, TimeZone: sp.Water.TimeZone, Time: t, Hours: lessonHours, Drop: l.Drop,
		Expected: l.Expected, Of: []string{}}
	for _, r := range l.Of {
		out.Of = append(out.Of, u.Fill(a.book.Rules[r].Says))
	}
	return out, nil
}
