package main

import (
	"crypto/tls"
	"fmt"
	"os"
	"sync"
	"time"
)

// certificates of the server, read again when their file changes: they are renewed while it
// runs.
type certificates struct {
	cert, key string

	mu     sync.Mutex
	loaded *tls.Certificate
	of     time.Time
}

func (c *certificates) get(*tls.ClientHelloInfo) (*tls.Certificate, error) {
	c.mu.Lock()
	defer c.mu.Unlock()
	file, err := os.Stat(c.cert)
	if err != nil && c.loaded == nil {
		return nil, fmt.Errorf("the certificate cannot be read: %w", err)
	}
	if err != nil || c.loaded != nil && file.ModTime().Equal(c.of) {
		return c.loaded, nil //nolint:nilerr // a moment without a file is a renewal
	}
	pair, err := tls.LoadX509KeyPair(c.cert, c.key)
	switch {
	case err == nil:
		c.loaded, c.of = &pair, file.ModTime()
	case c.loaded == nil:
		return nil, fmt.Errorf("the certificate and its key do not do: %w", err)
	}
	return c.loaded, nil
}
