package words

// Said by evidence/belief.
const (
	SaidYourSpellsSay = "Said ×%.2g; your %d spells say ×%.2g, %.2g to %.2g."
	SaidYourSpellSays = "Said ×%.2g; your one spell says ×%.2g, %.2g to %.2g."
)
