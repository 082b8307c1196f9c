//! How Jogo is reached: under which address, and from where somebody asks.

use std::net::{IpAddr, Ipv6Addr};
use std::str::FromStr;

use actix_web::HttpRequest;
use actix_web::http::Uri;
use actix_web::http::header::{HOST, HeaderMap, HeaderName};

/// The address under which people reach Jogo, as `https://jogo.example`: a scheme and a host, and a port if it is not the
/// usual one.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct PublicUrl {
    https: bool,
    host: String,
}

impl FromStr for PublicUrl {
    type Err = String;

    fn from_str(said: &str) -> Result<PublicUrl, String> {
        let wrong = || "say it as https://jogo.example: a scheme and a host, without a path".to_owned();
        let uri: Uri = said.parse().map_err(|_| wrong())?;
        let https = match uri.scheme_str() {
            Some("https") => true,
            Some("http") => false,
            _ => return Err(wrong()),
        };
        let host = uri.authority().map(|host| host.as_str().to_ascii_lowercase()).unwrap_or_default();
        let is_whole = matches!(uri.path(), "" | "/") && uri.query().is_none();
        if !is_whole || host.is_empty() || host.contains('@') {
            return Err(wrong());
        }
        Ok(PublicUrl { https, host })
    }
}

impl PublicUrl {
    /// What a browser calls the origin of the pages under this address.
    pub fn origin(&self) -> String {
        format!("http{}://{}", if self.https { "s" } else { "" }, self.host)
    }
}

/// How Jogo is reached.
#[derive(Clone, Debug, Default)]
pub struct Reached {
    /// Under which address; without one, each request says it.
    pub public: Option<PublicUrl>,
    /// Whether a proxy stands before it and says where a request comes from.
    pub behind_proxy: bool,
}

impl Reached {
    /// Whether everything goes over TLS: then cookies do, too.
    pub fn is_https(&self) -> bool {
        self.public.as_ref().is_some_and(|public| public.https)
    }

    /// A path as others reach it.
    pub fn address(&self, asked: &HttpRequest, path: &str) -> String {
        let origin = match &self.public {
            Some(public) => public.origin(),
            None => format!("http://{}", said(asked.headers(), HOST).unwrap_or("localhost")),
        };
        format!("{origin}{path}")
    }

    /// Whether an origin is that of Jogo's own pages. Without a public address it is that of the host that was asked.
    pub fn is_own(&self, origin: &str, headers: &HeaderMap) -> bool {
        match &self.public {
            Some(public) => origin.eq_ignore_ascii_case(&public.origin()),
            None => origin
                .split_once("://")
                .is_some_and(|(_, host)| said(headers, HOST).is_some_and(|asked| host == asked)),
        }
    }

    /// From where somebody asks: one address, or the part of it that one household or club has.
    pub fn from(&self, asked: &HttpRequest) -> String {
        let by_proxy = || said(asked.headers(), HeaderName::from_static("x-forwarded-for"));
        // What a proxy saw stands last; what stands before it, anybody may have written.
        let by_proxy = self.behind_proxy.then(by_proxy).flatten().and_then(|all| all.rsplit(',').next());
        let by_proxy: Option<IpAddr> = by_proxy.and_then(|last| last.trim().parse().ok());
        match by_proxy.or_else(|| asked.peer_addr().map(|peer| peer.ip())) {
            Some(IpAddr::V6(address)) => match address.to_ipv4_mapped() {
                Some(address) => address.to_string(),
                None => Ipv6Addr::from_bits(address.to_bits() & (u128::MAX << 64)).to_string(),
            },
            Some(address) => address.to_string(),
            None => String::new(),
        }
    }
}

fn said(headers: &HeaderMap, name: HeaderName) -> Option<&str> {
    headers.get(name).and_then(|value| value.to_str().ok())
}

#[cfg(test)]
mod tests {
    use actix_web::test::TestRequest;
    use rstest::rstest;

    use super::*;

    #[rstest]
    #[case::https("https://jogo.example", Some("https://jogo.example/x"))]
    #[case::with_a_port("http://Hall.local:7300/", Some("http://hall.local:7300/x"))]
    #[case::no_scheme("jogo.example", None)]
    #[case::another_scheme("ftp://jogo.example", None)]
    #[case::a_path("https://jogo.example/jogo", None)]
    #[case::a_question("https://jogo.example/?a", None)]
    #[case::a_name("https://me@jogo.example", None)]
    #[case::nothing("", None)]
    fn a_public_address_is_a_scheme_and_a_host(#[case] said: &str, #[case] address: Option<&str>) {
        let reached = said.parse().map(|public| Reached { public: Some(public), behind_proxy: false });
        let asked = TestRequest::default().insert_header(("host", "evil.example")).to_http_request();
        assert_eq!(reached.ok().map(|reached| reached.address(&asked, "/x")).as_deref(), address);
    }

    #[rstest]
    #[case::the_host_that_was_asked(None, "http://localhost:7300", true)]
    #[case::another_host(None, "http://evil.example", false)]
    #[case::none(None, "null", false)]
    #[case::the_public_one(Some("https://jogo.example"), "https://jogo.example", true)]
    #[case::without_tls(Some("https://jogo.example"), "http://jogo.example", false)]
    #[case::behind_the_proxy(Some("https://jogo.example"), "http://localhost:7300", false)]
    fn writes_come_from_the_own_pages(#[case] public: Option<&str>, #[case] origin: &str, #[case] own: bool) {
        let reached = Reached { public: public.and_then(|said| said.parse().ok()), behind_proxy: false };
        let asked = TestRequest::default().insert_header(("host", "localhost:7300")).to_http_request();
        assert_eq!(reached.is_own(origin, asked.headers()), own);
    }

    #[rstest]
    #[case::nobody_between(false, "192.0.2.1")]
    #[case::what_the_proxy_saw(true, "198.51.100.7")]
    fn only_a_known_proxy_says_from_where_it_was_asked(#[case] behind_proxy: bool, #[case] from: &str) {
        let reached = Reached { public: None, behind_proxy };
        let peer = std::net::SocketAddr::from(([192, 0, 2, 1], 40_000));
        let asked = TestRequest::default().peer_addr(peer);
        let asked = asked.insert_header(("x-forwarded-for", "203.0.113.9, 198.51.100.7")).to_http_request();
        assert_eq!(reached.from(&asked), from);
    }

    #[test]
    fn a_household_has_one_address_of_the_long_kind() {
        let from = |address: &str| {
            let peer = address.parse().ok().map(|ip: IpAddr| std::net::SocketAddr::new(ip, 1));
            let asked = TestRequest::default();
            let asked = peer.into_iter().fold(asked, TestRequest::peer_addr).to_http_request();
            Reached::default().from(&asked)
        };
        assert_eq!(from("2001:db8:1:2:3:4:5:6"), from("2001:db8:1:2:ffff::1"));
        assert_ne!(from("2001:db8:1:2:3:4:5:6"), from("2001:db8:1:3::1"));
        assert_eq!(from("::ffff:192.0.2.1"), "192.0.2.1");
    }
}
