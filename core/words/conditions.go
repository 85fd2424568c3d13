package words

// Said by conditions/kind.
const (
	ClarityHowDeepAWhitePlate           = "Clarity (how deep a white plate shows)"
	WaterTemperature                    = "Water temperature"
	WindSpeed                           = "Wind speed"
	WindFromDegreesNorthIs0             = "Wind from (degrees, north is 0)"
	CloudPartOfTheSky0                  = "Cloud (part of the sky, 0 to 1)"
	SwellHeightInDeepWater              = "Swell height in deep water"
	SwellPeriod                         = "Swell period"
	AirTemperature                      = "Air temperature"
	RainInTheHour                       = "Rain in the hour"
	AirPressureAtSeaLevel               = "Air pressure at sea level"
	DepthUnderTheSounder                = "Depth under the sounder"
	DepthFishShowAt                     = "Depth fish show at"
	WaterStandingAbovePredictionForDays = "Water standing above prediction for days (below: −)"
)

// Said by conditions/trend.
const (
	HasByADay       = "has %s by %s a day"
	OverTheLastDays = "%s over the last %d days"
)

// Said by conditions/trust.
const (
	NothingKnownAMiddlingValue = "nothing known; a middling value"
)

// Said by conditions/usual.
const AsUsualInThatMonth = "nobody told; as usual in that month"
