package words
