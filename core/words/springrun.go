package words

// Said by springrun/say.
const (
	TheRunIsLikelyAtThisBend   = "The spring run is likely at this bend"
	TheRunMayBeAtThisBend      = "The spring run may be at this bend"
	TheRunIsLikelyAtOtherBends = "The spring run is likely at another bend"
)
