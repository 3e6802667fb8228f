### What stands in the kitchen.

## What a thing is called until its cook calls it something else.

# $kind (Key)
thing =
    { $kind ->
        [hands] The cook
        [oven] The oven
        [burner] The large burner
        [pot] The iron pot
        [pan] The frying pan
        [pressure_pot] The pressure pot
        [slow_cooker] The slow cooker
        [pit] The pit
        [bath] The water bath
       *[coals] The coals
    }

id-taken = two things must not have the same id

## What a dish is short of.

# $thing (Text)
lent-out = { $thing } is lent out; the figures hold for when it is back
# $pans (Count) $burners (Count)
two-pans =
    { $pans ->
        [0] there is no pan free
        [one] there is one pan free
       *[other] there are { $pans } pans free
    } and { $burners ->
        [0] no burner
        [one] one burner
       *[other] { $burners } burners
    }: two pans at once want two of each
