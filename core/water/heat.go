package water

import "math"

// Physical constants, SI; from memory, textbook values.
const (
	heatCapacity    = 4.0e6   // J/m³K, of sea water
	stefanBoltzmann = 5.67e-8 // W/m²K⁴
	kelvin          = 273.15
	airDensity      = 1.22
	airHeat         = 1004.0 // J/kgK
	latentHeat      = 2.47e6 // J/kg, about 10–20 °C
	emissivity      = 0.97
	// transfer is the bulk coefficient of both evaporation and sensible heat at
	// 10 m, 1.3·10⁻³ (within Large & Pond 1982; from memory).
	transfer = 1.3e-3
	// stirring m/s: on a calm day warm water still drives the air above it.
	stirring = 1.0
)

// Weather over the water at a moment.
type Weather struct {
	AirC, WindMS float64
	Cloud        float64 // fraction of the sky, 0…1
	SunAltitude  float64 // degrees
	// Humidity relative, 0…1; zero means [usualHumidity].
	Humidity float64
}

// usualHumidity by the sea; assumed where none is known.
const usualHumidity = 0.75

// Sunshine is the solar radiation on level ground in W/m²: 910·sin γ − 30
// under a clear sky, times 1 − 0.75·c^3.4 for cloud (Kasten & Czeplak 1980).
func Sunshine(sunAltitudeDeg, cloud float64) float64 {
	clear := 910*math.Sin(sunAltitudeDeg*math.Pi/180) - 30
	return math.Max(clear, 0) * (1 - 0.75*math.Pow(min(max(cloud, 0), 1), 3.4))
}

// reflected is the share of sunshine the surface throws back (Briegleb et al.
// 1986, from memory): 3 % from overhead, more from a low sun.
func reflected(sunAltitudeDeg float64) float64 {
	m := math.Sin(sunAltitudeDeg * math.Pi / 180)
	if m <= 0 {
		return 0.1
	}
	return 0.026/(math.Pow(m, 1.7)+0.065) + 0.15*(m-0.1)*(m-0.5)*(m-1)
}

// vapourPressure of saturation over water in Pa (Magnus; coefficients of Alduchov
// & Eskridge 1996).
func vapourPressure(c float64) float64 { return 610.94 * math.Exp(17.625*c/(c+243.04)) }

// pressure of the air, Pa.
const pressure = 101325.0

// specificHumidity of air at a vapour pressure, kg/kg.
func specificHumidity(e float64) float64 { return 0.622 * e / (pressure - 0.378*e) }

// Exchange is what a surface gains from the air and the sky, W/m²; losses are
// negative.
type Exchange struct{ LongWave, Evaporation, Sensible float64 }

// Sum in W/m².
func (x Exchange) Sum() float64 { return x.LongWave + x.Evaporation + x.Sensible }

// exchange of a surface at a temperature (°C). wetness is 1 for water and less
// for mud left by the tide.
func exchange(surfaceC float64, w Weather, wetness float64) Exchange {
	humidity := w.Humidity
	if humidity == 0 {
		humidity = usualHumidity
	}
	e := humidity * vapourPressure(w.AirC)
	airK, surfaceK := w.AirC+kelvin, surfaceC+kelvin
	// Clear sky: 1.24·(e/T)^(1/7), e in hPa (Brutsaert 1975); cloud 1 + 0.22·c²
	// (within Brutsaert 1982; from memory).
	sky := math.Min(1.24*math.Pow(e/100/airK, 1.0/7)*(1+0.22*w.Cloud*w.Cloud), 1)
	wind := math.Max(w.WindMS, stirring)
	return Exchange{
		LongWave: emissivity * stefanBoltzmann * (sky*airK*airK*airK*airK - surfaceK*surfaceK*surfaceK*surfaceK),
		Evaporation: wetness * airDensity * latentHeat * transfer * wind *
			(specificHumidity(e) - specificHumidity(0.98*vapourPressure(surfaceC))),
		Sensible: airDensity * airHeat * transfer * wind * (w.AirC - surfaceC),
	}
}
