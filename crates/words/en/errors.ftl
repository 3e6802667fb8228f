### Why something given can't be used: what is allowed, after the field and what was given.

# The whole of it. $field (Text) $given (Message) $allowed (Message)
whole = { $field }: { $given } can't be used; { $allowed }

# The same where something has to be given. $field (Text) $allowed (Message)
missing = { $field } is missing; { $allowed }

a-value = a value
a-list = a list
an-object = an object
this-field = this field
a-second-value = a second value
beside-stages = a value beside stages
beside-parts = a value beside parts
more-than-one-end = more than one end

# In the units of the field. $low (Message) $high (Message)
range = it must be { $low } to { $high }

# The same with the cook's own units beside them, where those are others. $low (Message) $high (Message) $lower (Message) $higher (Message)
range-in-both = it must be { $low } to { $high }{ $units ->
        [us] {" "}({ $lower } to { $higher })
       *[metric] {""}
    }

# $figure (Message) $unit (Key)
with-unit =
    { $unit ->
        [celsius] { $figure } °C
        [kelvin] { $figure } K
        [metres] { $figure } m
        [centimetres] { $figure } cm
        [millimetres] { $figure } mm
        [kilograms] { $figure } kg
        [grams] { $figure } g
        [litres] { $figure } L
        [millilitres] { $figure } mL
        [hours] { $figure } h
        [minutes] { $figure } min
        [days_from_now] { $figure } days from now
        [watts] { $figure } W
        [kilopascals] { $figure } kPa over the air
        [percent] { $figure } %
        [a_kilo] { $figure } a kilo
        [coals] { $figure } coals
       *[none] { $figure }
    }

# $zone (Text)
zone = it must be a time zone's name such as "Europe/Helsinki"
    .given = "{ $zone }"

instant = it must be a time such as 2027-02-05T19:00 or 2027-02-05T19:00:00+02:00
instant-with-offset = it must be a time such as 2027-02-06T03:14:15Z
not-our-time = it must lie in the years 2000 to 2100. Is the clock set?
not-ahead = it must not be more than an hour ahead
end-after-begin = it must end after it begins
# $from (Text) $to (Text)
from-to = "{ $from }" to "{ $to }"

# $most (Count)
at-most = it must hold { $most } at most
# $least (Count) $most (Count)
so-many = it must hold { $least } to { $most }
# $count (Count)
count = { $count }

# $known (Message)
one-of = it must be one of { $known }

one-line = use letters, figures and signs that can be seen, on one line
visible = use letters, figures and signs that can be seen
# $code (Text)
character = the character { $code }
# $most (Count)
length = it must be 1 to { $most } characters
# $count (Count)
characters = { $count } characters

at-least-one-dish = name one dish at least
a-recipe = it must be a recipe as schema.org has it, in JSON-LD, with "@type": "Recipe"
a-task = it must be the id of a task on this sheet, such as "1-lift"
something-to-cook-on = name something to cook on, such as "oven" or "hob"
name-a-cut = name a cut, such as "chuck" or "shin"
name-a-cut-or-way = name a cut, such as "chuck" or "shin"; or a method, to be told what to buy for it
name-a-way = name a way, such as "braise"
# $ways (Message)
name-a-cooking-way = name a way that cooks: { $ways }
first-stage-names-its-way = the first stage names its way
stands-in-each-stage = in a chain it stands inside each stage
stands-in-each-part = in a mixed pot it stands inside each part
must-be-given = it must be given
mass-must-be-given = it must be given: all pieces together, raw, bone in, kg
say-how-much = say how much, in ml or in g
must-be-poured = it must be something that is poured
some-coals = there must be some coals, under the pot or over it
level-or-gauge = give level or gauge_kpa, not both
size-or-thickness = give size_mm or thickness_mm, not both
both-sides = a rectangular vessel needs width_cm and length_cm
pressure-lid = a pressure pot is closed with its own lid: leave it out or give tight
no-pot-to-pour-into = this way has no pot to pour it into. Write a note instead
one-end = give one of min, core_c or tender
stage-ends = a stage with another after it says when it ends: min, core_c or tender
nothing-tender-in-the-cold = nothing becomes tender in the cold; give min or core_c
must-be-true = it must be true, or left out
# $cooks (Count) $parts (Count) $stages (Count)
runs = { $cooks } cooks of { $parts ->
        [one] 1 part
       *[other] { $parts } parts
    } in { $stages ->
        [one] 1 stage
       *[other] { $stages } stages
    }
# $most (Count)
most-runs = multiplied with each other they must be { $most } at most
# $most (Mass)
vessel-takes = this vessel takes { $most } at most. Take a larger pot, or two
no-vessel-takes-it = no vessel here takes it, whole or cut up. Give less
only-a-hob = only a hob is set by a simmer. An oven takes set_c, coals a count
only-an-oven = only an oven has it. A hob takes simmer, coals under and over
only-coals = only coals have it. A hob takes simmer, an oven set_c

this-heat = this heat
never-tender = it is not tender within three days. Choose a hotter way
too-late-to-pour = liquid counts within three days of the meat meeting the heat. Write a note instead

recipe-too-long = it must be a line or two, such as "35 min at high pressure" or "2½ h at 160 °C"
recipe-how-long = say how long, such as "35 min at high pressure" or "2½ h at 160 °C"
recipe-low-on-what = say what it is low or high on: "in the slow cooker", "over a low flame" or "in a low oven"
recipe-how = say how long and how, such as "35 min at high pressure" or "2½ h at 160 °C"
recipe-time = its time must be 1 min to 72 h
# $given (Message) $allowed (Message)
recipe-heat = its heat can't be { $given }: { $allowed }

not-one-object = it must be one JSON object
object-with-names = it must be an object with the names of its fields
this-text = this text
so-many-values = so many values
# $line (Count) $column (Count)
not-json = it must be one JSON value, and is none at line { $line }, column { $column }
# $line (Count) $column (Count)
other-form = it must have the form that belongs here, and has another at line { $line }, column { $column }
# $reason (Text)
fit = it must fit: { $reason }
a-number = it must be a number
whole-number = it must be a whole number
whole-number-from-0 = it must be a whole number, 0 or more
true-or-false = it must be true or false
a-text = it must be a text
an-id = it must be an id such as 5f0c8a52-7d1e-4b7e-9a3c-2f6f0d1c4b9a
must-be-a-list = it must be a list
# $length (Count)
list-of = it must be a list of { $length }
no-field = there is none here
give-once = give it once

## Changes while it cooks.

this-change = this change
no-such-change = one that goes with how it cooks now: its own dial, lid or wrap, or another way
