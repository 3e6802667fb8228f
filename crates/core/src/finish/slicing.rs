//! Slicing: how long the fibres are that end up on the fork.

use ergastic_words::{Length, Message, finish as say};

/// Fibre length eaten, mm: thickness of the slice over the sine of the cut's angle to the grain. Geometry.
///
/// `angle_deg` is 90 straight across the grain and nears 0 along it; it is held above 5, where a slice is all fibre.
pub fn fibre_length_mm(thickness_mm: f64, angle_deg: f64) -> f64 {
    thickness_mm / angle_deg.clamp(5.0, 90.0).to_radians().sin()
}

/// What a cook is told of it, for slices of a thickness in mm.
pub fn slicing(thickness_mm: f64) -> Message {
    let fibres = |angle_deg: f64| Length(fibre_length_mm(thickness_mm, angle_deg));
    say::slicing(Length(thickness_mm), fibres(90.0), fibres(30.0))
}

#[cfg(test)]
mod tests {
    use super::*;
    use ergastic_words::Voice;

    #[test]
    fn along_the_grain_fibres_get_long() {
        assert!((fibre_length_mm(6.0, 90.0) - 6.0).abs() < 1e-9 && (fibre_length_mm(6.0, 30.0) - 12.0).abs() < 1e-9);
        assert!(fibre_length_mm(6.0, 0.0).is_finite());
        assert!(Voice::default().render(slicing(6.0)).contains("12 mm"));
    }
}
