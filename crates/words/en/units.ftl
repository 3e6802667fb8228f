### How things in a row are joined.

# $before (Message) $last (Message)
both = { $before } and { $last }

# $before (Message) $last (Message)
either = { $before } or { $last }

# $before (Message) $last (Message)
after-each-other = { $before }, then { $last }
