### What was foretold against what came, and what a closed cook has taught of this kitchen.

# $off (Difference)
oven-true = The oven runs as it says, give or take { $off }.
    .under = The oven runs about { $off } under what it says
    .over = The oven runs about { $off } over what it says
# $off (Difference)
simmer-true = The simmer is as hot as it looks, give or take { $off }.
    .under = The simmer runs about { $off } under what it looks like
    .over = The simmer runs about { $off } over what it looks like
# $off (Difference)
pit-true = The pit runs as it says, give or take { $off }.
    .under = The pit runs about { $off } under what it says
    .over = The pit runs about { $off } over what it says
# $what (Message) $give (Difference)
give-or-take = { $what }, give or take { $give }.
# $times (Number)
lid-lets-by = The lid lets by { $times } times as much steam as lids usually do.
lid-usual = The lid lets by about as much steam as lids usually do.
animal-usual = This animal was as tough as such meat usually is.
# $by (Percent)
animal-tougher = This animal was { $by } tougher than such meat usually is.
# $by (Percent)
animal-softer = This animal was { $by } softer than such meat usually is.

# $took (RoughMinutes) $apart (RoughMinutes)
right-at-the-middle = Tender after { $took }: right at the middle of the band.
    .sooner-than-the-band = Tender after { $took }: { $apart } before the middle, sooner than the band.
    .later-than-the-band = Tender after { $took }: { $apart } after the middle, later than the band.
    .before-the-middle = Tender after { $took }: { $apart } before the middle, inside the band.
    .after-the-middle = Tender after { $took }: { $apart } after the middle, inside the band.
# $middle (RoughMinutes)
half-by = Half of such pieces are tender after { $middle }.
nothing-predicted = No time was foretold to compare with.
