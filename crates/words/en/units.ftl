### How things in a row are joined.

# $before (Said) $last (Said)
both = { $before } and { $last }

# $before (Said) $last (Said)
either = { $before } or { $last }

# $before (Said) $last (Said)
after-each-other = { $before }, then { $last }
