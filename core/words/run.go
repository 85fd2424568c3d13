package words

// Said by run/say.
const (
	TheRunIsLikelyAtThisBend   = "The run is likely at this bend"
	TheRunMayBeAtThisBend      = "The run may be at this bend"
	TheRunIsLikelyAtOtherBends = "The run is likely at another bend"
)
