package localdb

import (
	"io/fs"
	"os"
	"os/user"
	"path/filepath"
	"strconv"
	"syscall"
)

// identity is another user of the system.
type identity struct{ uid, gid int }

// serverUser is whom Debian's package makes for its server.
const serverUser = "mysql"

// someoneElse to run the database as when this program runs as root: one that can do less.
// Nil where there is none, or where they cannot reach the directory.
func someoneElse(h home) *identity {
	if os.Geteuid() != 0 {
		return nil
	}
	u, err := user.Lookup(serverUser)
	if err != nil {
		return nil
	}
	uid, err := strconv.Atoi(u.Uid)
	if err != nil {
		return nil
	}
	gid, err := strconv.Atoi(u.Gid)
	if err != nil {
		return nil
	}
	as := &identity{uid, gid}
	if !as.reaches(string(h)) {
		return nil
	}
	return as
}

// reaches says whether all directories above one let the user through.
func (i *identity) reaches(dir string) bool {
	for up := filepath.Dir(dir); ; up = filepath.Dir(up) {
		info, err := os.Stat(up)
		if err != nil {
			return false
		}
		through := info.Mode()&0o001 != 0
		if st, ok := info.Sys().(*syscall.Stat_t); ok && int(st.Uid) == i.uid {
			through = info.Mode()&0o100 != 0
		}
		if !through {
			return false
		}
		if up == filepath.Dir(up) {
			return true
		}
	}
}

// own a directory or file with all in it.
func (i *identity) own(path string) error {
	return filepath.WalkDir(path, func(p string, d fs.DirEntry, err error) error {
		if err != nil {
			return err
		}
		if info, err := d.Info(); err == nil {
			if st, ok := info.Sys().(*syscall.Stat_t); ok && int(st.Uid) == i.uid && int(st.Gid) == i.gid {
				return nil
			}
		}
		return os.Lchown(p, i.uid, i.gid)
	})
}

func (i *identity) credential() *syscall.Credential {
	if i == nil {
		return nil
	}
	return &syscall.Credential{Uid: uint32(i.uid), Gid: uint32(i.gid)} //nolint:gosec // user ids are not negative
}
