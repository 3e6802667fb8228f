//! Quantiles and chances of a weighted ensemble.

/// The weighted quantile of `values`, interpolated between members; `None` where it is not finite.
///
/// `weights` need not be normalised. An infinite value is a member that never gets there.
pub fn quantile(values: &[f64], weights: &[f64], p: f64) -> Option<f64> {
    quantile_in(&in_order(values), values, weights, p)
}

/// The members from the least value to the greatest.
pub fn in_order(values: &[f64]) -> Vec<usize> {
    let mut order: Vec<usize> = (0..values.len()).collect();
    order.sort_by(|&a, &b| values[a].total_cmp(&values[b]));
    order
}

/// [`quantile`] of values whose order is known, for who asks for many with other weights.
pub fn quantile_in(order: &[usize], values: &[f64], weights: &[f64], p: f64) -> Option<f64> {
    let order: Vec<usize> = order.iter().copied().filter(|&i| weights[i] > 0.0).collect();
    let total: f64 = order.iter().map(|&i| weights[i]).sum();
    let mut below = 0.0;
    let mut previous: Option<(f64, f64)> = None;
    for &i in &order {
        // Each member stands at the middle of its own weight.
        let middle = (below + 0.5 * weights[i]) / total;
        if middle >= p {
            let value = match previous {
                // No further than the member it leads to, whatever rounding says: a later quantile is never less.
                Some((at, value)) if values[i].is_finite() => {
                    (value + (values[i] - value) * ((p - at) / (middle - at))).min(values[i])
                }
                _ => values[i],
            };
            return value.is_finite().then_some(value);
        }
        previous = Some((middle, values[i]));
        below += weights[i];
    }
    previous.map(|(_, value)| value).filter(|value| value.is_finite())
}

/// The weighted share of members for which something holds.
pub fn chance(weights: &[f64], holds: impl Fn(usize) -> bool) -> f64 {
    let total: f64 = weights.iter().sum();
    let held: f64 = weights.iter().enumerate().filter(|(i, _)| holds(*i)).map(|(_, w)| w).sum();
    // An empty sum is -0.
    (held / total).clamp(0.0, 1.0) + 0.0
}

/// The correlation of two lists of figures; 0 where one does not vary.
pub fn correlation(a: &[f64], b: &[f64]) -> f64 {
    let n = a.len() as f64;
    let (mean_a, mean_b) = (a.iter().sum::<f64>() / n, b.iter().sum::<f64>() / n);
    let (mut ab, mut aa, mut bb) = (0.0, 0.0, 0.0);
    for (x, y) in a.iter().zip(b) {
        ab += (x - mean_a) * (y - mean_b);
        aa += (x - mean_a).powi(2);
        bb += (y - mean_b).powi(2);
    }
    if aa * bb > 0.0 { ab / (aa * bb).sqrt() } else { 0.0 }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn quantiles_of_equal_and_unequal_weights() {
        let values = [4.0, 1.0, 3.0, 2.0];
        assert_eq!(quantile(&values, &[1.0; 4], 0.5), Some(2.5));
        assert_eq!(quantile(&values, &[0.0, 0.0, 1.0, 0.0], 0.1), Some(3.0));
        assert_eq!(quantile(&[1.0, f64::INFINITY, f64::INFINITY], &[1.0; 3], 0.5), None);
        assert_eq!(chance(&[1.0, 3.0], |i| i == 1), 0.75);
    }
}
