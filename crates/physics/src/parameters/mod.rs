//! Every constant of the model that was fitted, published, measured by cooks or guessed: once, with its unit, its source and how far from
//! it it could plausibly lie. Laws of physics, sizes of steps and limits of what is asked are constants where they are used.

#[macro_use]
mod about;
mod table;

pub use about::{About, Source};
pub use table::*;

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn each_value_has_a_name_of_its_own_and_lies_in_its_range() {
        let about = Parameters::about();
        let names: std::collections::BTreeSet<&str> = about.iter().map(|one| one.name.as_str()).collect();
        assert!(names.len() == about.len() && about.len() > 150, "{}", about.len());
        for one in &about {
            let value = one.get(&Parameters::USUAL);
            assert!((one.range[0]..=one.range[1]).contains(&value), "{}: {value} in {:?}", one.name, one.range);
            assert!(one.text.ends_with('.') || one.text.ends_with(')'), "{}: {}", one.name, one.text);
        }
    }

    #[test]
    fn a_value_is_put_where_it_is_got_and_nowhere_else() {
        let about = Parameters::about();
        for one in &about {
            let mut changed = Parameters::USUAL;
            one.set(&mut changed, 0.123);
            let moved: Vec<&str> = about
                .iter()
                .filter(|other| other.get(&changed) != other.get(&Parameters::USUAL))
                .map(|other| other.name.as_str())
                .collect();
            assert_eq!(moved, [one.name.as_str()]);
        }
    }
}
