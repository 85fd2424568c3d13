package main

import (
	"errors"
	"time"
)

func (s *site) soak(time.Duration) error { return errors.New("not yet") }
