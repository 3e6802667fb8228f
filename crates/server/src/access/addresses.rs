//! The addresses and names that the kitchen answers to beyond this machine.

use std::net::{IpAddr, Ipv6Addr};
use std::sync::{PoisonError, RwLock};

use axum::http::uri::Authority;

/// Names of this machine to itself.
const OWN_NAMES: [&str; 3] = ["127.0.0.1", "localhost", "[::1]"];

/// Whether a host is this machine, as it calls itself. Names of hosts have no case.
pub fn is_own(host: &str) -> bool {
    OWN_NAMES.contains(&host.to_ascii_lowercase().as_str())
}

/// Whether an address belongs to a network of one's own: the only ones that the kitchen's authority vouches for.
pub fn is_private(address: IpAddr) -> bool {
    match address.to_canonical() {
        IpAddr::V4(v4) => {
            let [a, b, ..] = v4.octets();
            v4.is_loopback() || v4.is_private() || v4.is_link_local() || (a == 100 && (64..128).contains(&b))
        }
        IpAddr::V6(v6) => v6.is_loopback() || v6.is_unique_local(),
    }
}

/// Where the kitchen is found beyond this machine.
#[derive(Debug)]
pub struct Addresses {
    host: IpAddr,
    port: u16,
    names: Vec<String>,
    found: RwLock<Vec<IpAddr>>,
}

impl Addresses {
    /// Of the address that is listened on, the port, and names that lead here.
    pub fn new(host: IpAddr, port: u16, names: &[String]) -> Self {
        let names = names.iter().map(|name| name.trim_end_matches('.').to_ascii_lowercase()).collect();
        let addresses = Self { host, port, names, found: RwLock::default() };
        addresses.look();
        addresses
    }

    /// Looks which addresses the machine has now; whether they have changed.
    pub fn look(&self) -> bool {
        let mut found: Vec<IpAddr> = if self.host.is_unspecified() {
            let all = if_addrs::get_if_addrs().unwrap_or_default();
            let any = self.host == Ipv6Addr::UNSPECIFIED;
            let ours = all.iter().map(if_addrs::Interface::ip).filter(|ip| !ip.is_loopback() && is_private(*ip));
            ours.filter(|ip| any || ip.is_ipv4()).collect()
        } else {
            vec![self.host]
        };
        found.sort();
        found.dedup();
        let mut known = self.found.write().unwrap_or_else(PoisonError::into_inner);
        let changed = *known != found;
        *known = found;
        changed
    }

    /// The addresses, this machine's own name for itself apart.
    pub fn ips(&self) -> Vec<IpAddr> {
        self.found.read().unwrap_or_else(PoisonError::into_inner).clone()
    }

    /// The names.
    pub fn names(&self) -> &[String] {
        &self.names
    }

    /// What may be typed into a browser, names first.
    pub fn urls(&self) -> Vec<String> {
        let url = |host: String| match self.port {
            443 => format!("https://{host}"),
            port => format!("https://{host}:{port}"),
        };
        let ips = self.ips().into_iter().map(|ip| match ip {
            IpAddr::V6(v6) => format!("[{v6}]"),
            IpAddr::V4(v4) => v4.to_string(),
        });
        self.names.iter().cloned().chain(ips).map(url).collect()
    }

    /// Whether a `Host`, or what an `Origin` names, is one of them: a name that was rebound to this machine is not.
    pub fn answers_to(&self, authority: &str) -> bool {
        let Ok(authority) = authority.parse::<Authority>() else { return false };
        let host = authority.host().to_ascii_lowercase();
        let host = host.trim_end_matches('.');
        let bare = host.trim_start_matches('[').trim_end_matches(']');
        is_own(host)
            || self.names.iter().any(|name| name == host)
            || bare.parse().is_ok_and(|ip: IpAddr| self.ips().contains(&ip))
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn it_answers_to_its_own_names_and_addresses_alone() {
        let names = ["Galley.Example.".to_owned()];
        let addresses = Addresses::new("192.168.7.4".parse().unwrap(), 4870, &names);
        for ours in
            ["192.168.7.4:4870", "192.168.7.4", "galley.example:4870", "GALLEY.example", "localhost:1", "127.0.0.1"]
        {
            assert!(addresses.answers_to(ours), "{ours}");
        }
        for other in
            ["192.168.7.5", "evil.example", "galley.example.evil.example", "192.168.7.4.evil.example", "", "@", "a b"]
        {
            assert!(!addresses.answers_to(other), "{other}");
        }
        assert_eq!(addresses.urls(), ["https://galley.example:4870", "https://192.168.7.4:4870"]);
    }

    #[test]
    fn only_addresses_of_ones_own_networks_are_private() {
        for (address, private) in [
            ("10.1.2.3", true),
            ("172.31.0.1", true),
            ("172.32.0.1", false),
            ("192.168.0.9", true),
            ("100.64.0.1", true),
            ("100.128.0.1", false),
            ("8.8.4.4", false),
            ("fd12::1", true),
            ("2001:db8::1", false),
            ("::ffff:10.0.0.1", true),
        ] {
            assert_eq!(is_private(address.parse().unwrap()), private, "{address}");
        }
    }
}
