package tide

import (
	"strconv"
	"strings"
)

// parent is one term of a shallow-water compound.
type parent struct {
	name  string
	times int
}

// letters of compounds and the constituents they stand for. K may be either: the
// species number at the end of the name decides.
var letters = map[string][]string{
	"M": {"M2"}, "S": {"S2"}, "N": {"N2"}, "K": {"K1", "K2"}, "O": {"O1"}, "Q": {"Q1"}, "P": {"P1"}, "J": {"J1"},
	"L": {"L2"}, "T": {"T2"}, "R": {"R2"}, "NU": {"NU2"}, "MU": {"MU2"}, "LAM": {"LAM2"},
}

// longest name of a compound in use, and the most a letter may be repeated.
const (
	longestName = 12
	mostTimes   = 6
)

// parseCompound reads the name of a shallow-water compound as it is built
// (Schureman table 2a; Foreman 1977): multiples of letters, a group in
// brackets, and the cycles a day at the end. "2MS6" is 2·M2 + S2. Where the sum
// exceeds the cycles the last letters count negative: "MSN2" is M2 + S2 − N2. A
// single letter with a number is a multiple of itself: "M6" is 3·M2.
func parseCompound(name string) ([]parent, bool) {
	digits := len(name)
	for digits > 0 && name[digits-1] >= '0' && name[digits-1] <= '9' {
		digits--
	}
	cycles, err := strconv.Atoi(name[digits:])
	if err != nil || cycles > 14 || len(name) > longestName {
		return nil, false
	}
	symbols, ok := splitLetters(name[:digits])
	if !ok {
		return nil, false
	}
	if len(symbols) == 1 {
		return overtide(symbols[0], cycles)
	}
	for negative := range len(symbols) {
		for _, k := range letters["K"] {
			list := make([]parent, len(symbols))
			sum := 0
			for i, s := range symbols {
				list[i] = parent{k, s.times}
				if s.name != "K" {
					list[i].name = letters[s.name][0]
				}
				if i >= len(symbols)-negative {
					list[i].times = -list[i].times
				}
				sum += list[i].times * basic[list[i].name].t
			}
			if sum == cycles {
				return list, true
			}
		}
	}
	return nil, false
}

// overtide is a multiple of one constituent.
func overtide(s parent, cycles int) ([]parent, bool) {
	base := letters[s.name]
	b := base[len(base)-1]
	t := basic[b].t
	if s.times != 1 || cycles%t != 0 || cycles == t {
		return nil, false
	}
	return []parent{{b, cycles / t}}, true
}

// splitLetters takes the part of a name before its number apart.
func splitLetters(text string) ([]parent, bool) {
	var out []parent
	group, times := 1, 0
	for text != "" {
		switch c := text[0]; {
		case c >= '0' && c <= '9':
			if times != 0 {
				return nil, false
			}
			times, text = int(c-'0'), text[1:]
			continue
		case c == '(' && group == 1 && strings.Contains(text, ")"):
			group, times, text = max(times, 1), 0, text[1:]
			continue
		case c == ')' && times == 0:
			group, text = 1, text[1:]
			continue
		}
		symbol := ""
		for s := range letters {
			if strings.HasPrefix(text, s) && len(s) > len(symbol) {
				symbol = s
			}
		}
		if symbol == "" {
			return nil, false
		}
		n := max(times, 1) * group
		if n > mostTimes {
			return nil, false
		}
		out = append(out, parent{symbol, n})
		text, times = text[len(symbol):], 0
	}
	return out, len(out) > 0 && times == 0
}

// compound of its parents: everything adds up, their nodes too.
func compound(parents []parent) *species {
	var d species
	for _, k := range parents {
		b := basic[k.name]
		d.t += k.times * b.t
		d.s += k.times * b.s
		d.h += k.times * b.h
		d.p += k.times * b.p
		d.p1 += k.times * b.p1
		d.constant += float64(k.times) * b.constant
		for _, n := range b.node {
			d.node = append(d.node, nodePower{n.of, n.power * k.times})
		}
	}
	return &d
}
