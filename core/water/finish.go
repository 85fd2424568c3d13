package water

// Finish of a lure.
type Finish string

// Finishes.
const (
	Glow        Finish = "glow"
	Black       Finish = "black"
	White       Finish = "white"
	Loud        Finish = "bright colour"
	Natural     Finish = "natural"
	Translucent Finish = "translucent"
	Mirror      Finish = "mirror"
)

// FinishChoice is a finish and why it stands where it does.
type FinishChoice struct {
	Finish Finish
	Why    string
}

// Why a finish shows or does not (common practice, no source).
const (
	whyGlow        = "it makes its own light where there is none"
	whySilhouette  = "a dark shape stands out against whatever light comes from above"
	whyBlackClear  = "in good light it is only a dark shape"
	whyWhite       = "white shows from brown water to gin clear"
	whyWhiteDark   = "white needs a little light to show"
	whyLoud        = "contrast carries further than likeness in coloured water"
	whyLoudClear   = "in clear water it looks like nothing they eat"
	whyLoudDark    = "colour is gone in the dark"
	whyNatural     = "in clear water and light they look closely"
	whyNaturalDark = "nobody sees the likeness"
	whyTranslucent = "prey in clear water is nearly see-through"
	whyTransLost   = "it lets the little light there is pass through"
	whyMirror      = "it throws the light about like a small fish"
	whyMirrorDark  = "a mirror shows what is around it: in the dark, nothing"
	whyGlowBright  = "its own light is lost in daylight"
)

// FinishesFor ranks finishes, best first, for the light at the lure's depth and
// the clarity of the water (Secchi depth, metres).
func FinishesFor(light Light, secchiM float64) []FinishChoice {
	clear := secchiM >= clarityWords[2].FromSecchi
	switch {
	case light == Dark:
		return []FinishChoice{{Glow, whyGlow}, {Black, whySilhouette}, {White, whyWhiteDark}, {Loud, whyLoudDark},
			{Natural, whyNaturalDark}, {Translucent, whyTransLost}, {Mirror, whyMirrorDark}}
	case light == Twilight:
		return []FinishChoice{{Black, whySilhouette}, {Glow, whyGlow}, {White, whyWhite}, {Loud, whyLoud}, {Natural, whyNaturalDark},
			{Translucent, whyTransLost}, {Mirror, whyMirrorDark}}
	case clear && light == Bright:
		return []FinishChoice{{Natural, whyNatural}, {Translucent, whyTranslucent}, {Mirror, whyMirror}, {White, whyWhite},
			{Loud, whyLoudClear}, {Black, whyBlackClear}, {Glow, whyGlowBright}}
	case clear:
		return []FinishChoice{{White, whyWhite}, {Natural, whyNatural}, {Mirror, whyMirror}, {Translucent, whyTranslucent},
			{Black, whySilhouette}, {Loud, whyLoudClear}, {Glow, whyGlowBright}}
	}
	return []FinishChoice{{White, whyWhite}, {Loud, whyLoud}, {Black, whySilhouette}, {Natural, whyNaturalDark}, {Mirror, whyMirror},
		{Glow, whyGlowBright}, {Translucent, whyTransLost}}
}

// LightBand is a layer of water with one class of light.
type LightBand struct {
	Light Light
	// FromM and ToM below the surface; the last band ends at the bottom.
	FromM, ToM float64
}

// LightBands from the surface down to a depth, for an illuminance on the surface
// (lux) and an attenuation per metre.
func LightBands(surfaceLux, attenuation, depthM float64) []LightBand {
	var out []LightBand
	top := 0.0
	for _, l := range []Light{Bright, Dim, Twilight, Dark} {
		end := depthM
		if l != Dark {
			end = min(max(DepthOf(surfaceLux, attenuation, lowest[l]), 0), depthM)
		}
		if end > top {
			out = append(out, LightBand{l, top, end})
			top = end
		}
	}
	return out
}
