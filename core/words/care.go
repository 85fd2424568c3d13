package words

// Said by care/release.
const (
	CareVenomous = "Venomous spines: do not grip it. Free it in the water with a de-hooker, or cut the line."
	CareHot      = "The water is %s: a long fight kills it. Strong gear, a short fight, free it in the water; if they tire, stop " +
		"fishing for them."
	CareNumb        = "The water is %s: it is numb with cold. Handle it as little as you can, and let schools of them be."
	CareNestingMale = "A male over its nest: straight back where it came from. Without it the eggs are eaten within minutes."
	CareNest        = "They nest now: dark ones with a bright band are males that guard eggs. Put those straight back over the nest."
	CareNoNest      = "No nests here: that it is a male is no reason to put it back now."
	CareBreeder     = "Over %s it is a breeder worth more in the water: put it back."
	CareBlown       = "From deep water: a belly blown up, eyes or stomach out. Send it down with a weight or descending device, or " +
		"vent it, as your " +
		"authority says. Do not prick the stomach, do not let it float off."
	CarePredators = "Dolphins, sharks, seals or birds beside you take what you put back: stop, or move."
	CareWet       = "Wet hands, no dry cloth or sand, one hand under its belly, level. Out of the water no longer than you can hold " +
		"your breath."
	CareUnhook = "Pliers or a de-hooker. Where the hook is swallowed, cut the line close and leave it."
	CareRevive = "Hold it upright, head into the current, until it kicks itself free; do not pump it to and fro."
	CareWormy  = "Large ones are often wormy: no loss to the table."
)

// Said by care/firstaid.
const (
	InjurySpine   = "Stung by a spine (catfish, weever, scorpionfish, ray)"
	FirstAidSpine = "Out of the water. Put the part in water as hot as can be borne, tried with the other hand first so that it does " +
		"not scald, for half " +
		"an hour to an hour and a half. Then medical help: spines break off and wounds go bad. A sting in chest or belly, or by a ray " +
		"with " +
		"much blood: leave the spine in, call the emergency number."
	InjuryHook   = "A hook in the flesh"
	FirstAidHook = "In or near the eye, in the neck or near a joint: do not pull, cover it, medical help. Elsewhere cut the line, " +
		"keep it still; " +
		"a hook past its barb is for somebody who has done it before, or a doctor. Is your tetanus shot in date?"
	InjuryCut   = "A cut (shell, fins, gill plates, teeth, line)"
	FirstAidCut = "Press on it with something clean until it stops. Wash it out with drinking water. A cut from shell or fish in warm " +
		"salt water that " +
		"reddens, swells or throbs within a day: medical help at once."
	InjuryAllergy   = "Hives, swollen face, short breath"
	FirstAidAllergy = "Call the emergency number. Adrenaline pen if one is carried. Lie flat with legs up; sit if breath is short."
	InjuryCold      = "Fell in cold water"
	FirstAidCold    = "Float until the gasping is over, about a minute; then swim or hold on. Out: wet things off, wrap up, warm " +
		"sweet drinks if awake. " +
		"Shivering that stops, or confused: emergency number, keep lying flat."
	KeepBleed  = "Bleed it at once: cut both gills, head down in a bucket of sea water, until it runs clear."
	KeepSlurry = "Then straight into slurry: as much ice as sea water by weight, the fish under it."
	KeepGut    = "Gut it the same day, wash the belly out with sea water, not fresh."
	KeepDrain  = "On ice, belly down, the box's drain open: in melt water it goes soft. A week for most, four days for oily ones."
	KeepFreeze = "Frozen: air pressed out, the date on the bag. Six months for lean fish, three for oily."
	KeepStrips = "Skin and bellies make bait: strips salted overnight keep weeks in the cold, frozen six months. Date them."
)
