// Package bylaws reads and writes rules of authorities as a file to be passed on: YAML, with a list called bylaws, or
// CSV with the same names as columns, lists within a cell split by semicolons.
//
//	bylaws:
//	  - name: Slot of the sound
//	    authority: Grey Coast Fishery
//	    code: false                 # true: voluntary
//	    species: [red drum, drums]  # names, ids, Latin names, groups, or any
//	    licence: visitor            # the class it holds for; left out: everyone
//	    area: Sedge Sound           # what it is called; ring: its corners, "31.2 -45.1; 31.3 -45.1; …", left out: everywhere
//	    seasons: [03-01 to 06-30, 2026-06-06 to 2026-08-02]
//	    days: [saturday, sunday]
//	    hours: 19:00 to 05:00
//	    status: release only        # or closed, protected
//	    min: 14 in                  # inclusive, any unit of length
//	    max: 24 in
//	    over: 1                     # so many a day over max, or over over_length
//	    over_length: 27 in
//	    measure: total              # fork, pinched
//	    bag: 3                      # a person and day; the species share it unless each is true
//	    each: false
//	    boat_bag: 12
//	    possession: 6
//	    not_kept: [egg-bearing]
//	    gear: [circle hooks, barbless, no live bait, no snagging, 2 rods, 1 hook]
//	    duties: [tag, report within 24 h to the harbour office]
//	    no_limits: false
//	    advisory: Not more than one meal a month.
//	    note: …
//	    source: Handbook 2026, p. 4 # needed
//	    address: where to find it
//	    checked: 2026-05-03         # needed
//	    checked_by: Wren
//	    life_days: 365
package bylaws
