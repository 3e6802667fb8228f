//! Normal equations: as many unknowns as parameters are fitted, some tens.

/// Solves `a x = b` for a symmetric, positive definite `a` by Cholesky's method; none where it is not.
pub fn solve(mut a: Vec<Vec<f64>>, mut b: Vec<f64>) -> Option<Vec<f64>> {
    let n = b.len();
    for j in 0..n {
        for i in j..n {
            let known: f64 = (0..j).map(|k| a[i][k] * a[j][k]).sum();
            let left = a[i][j] - known;
            if i == j && left <= 0.0 {
                return None;
            }
            a[i][j] = if i == j { left.sqrt() } else { left / a[j][j] };
        }
    }
    for i in 0..n {
        let known: f64 = (0..i).map(|k| a[i][k] * b[k]).sum();
        b[i] = (b[i] - known) / a[i][i];
    }
    for i in (0..n).rev() {
        let known: f64 = (i + 1..n).map(|k| a[k][i] * b[k]).sum();
        b[i] = (b[i] - known) / a[i][i];
    }
    Some(b)
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn what_is_solved_for_comes_out_again() {
        let a = vec![vec![4.0, 2.0, 0.6], vec![2.0, 5.0, 1.0], vec![0.6, 1.0, 3.0]];
        let x = [1.0, -2.0, 0.5];
        let b: Vec<f64> = a.iter().map(|row| row.iter().zip(x).map(|(a, x)| a * x).sum()).collect();
        let solved = solve(a, b).unwrap();
        assert!(solved.iter().zip(x).all(|(got, x)| (got - x).abs() < 1e-12), "{solved:?}");
        assert!(solve(vec![vec![1.0, 2.0], vec![2.0, 1.0]], vec![0.0, 0.0]).is_none());
    }
}
