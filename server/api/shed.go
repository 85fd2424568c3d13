package api

import (
	"net/http"
	"runtime"
	"strings"
	"sync/atomic"
	"time"

	"greypebble/server/api/web"
)

// What a server takes on at once: so many requests a processor are worked on, some more wait
// a little, the rest are told to come back. A server that takes on everything answers nobody.
const (
	runningEach = 6
	waitingEach = 40
	patience    = 2 * time.Second
)

// shed what is too much. Health answers always; heavy work has its own queue.
func shed(next http.Handler) http.Handler {
	running := make(chan struct{}, runningEach*runtime.GOMAXPROCS(0))
	most := int64(waitingEach * runtime.GOMAXPROCS(0))
	var waiting atomic.Int64
	busy := web.Refuse(http.StatusServiceUnavailable, "The server has too much to do. Nothing was lost; try again in a moment.")
	return http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		if r.URL.Path == "/api/v1/health" || strings.HasPrefix(r.URL.Path, "/api/v1/tide/analyse") {
			next.ServeHTTP(w, r)
			return
		}
		select {
		case running <- struct{}{}:
		default:
			if !await(r, running, &waiting, most) {
				w.Header().Set("Retry-After", "2")
				busy(w, r)
				return
			}
		}
		defer func() { <-running }()
		next.ServeHTTP(w, r)
	})
}

// await a place among those that run; false where too many wait already, or for too long.
func await(r *http.Request, running chan struct{}, waiting *atomic.Int64, most int64) bool {
	defer waiting.Add(-1)
	if waiting.Add(1) > most {
		return false
	}
	timer := time.NewTimer(patience)
	defer timer.Stop()
	select {
	case running <- struct{}{}:
		return true
	case <-timer.C:
	case <-r.Context().Done():
	}
	return false
}
