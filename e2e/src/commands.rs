//! ChromeDriver's own commands, beyond the standard ones.

use std::path::Path;

use fantoccini::Client;
use fantoccini::wd::{Capabilities, WebDriverCompatibleCommand};
use serde_json::{Value, json};

/// The size of the screen.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub enum Viewport {
    /// 1280 × 800.
    Table,
    /// 390 × 844, touch.
    Phone,
}

/// Chromium without a screen, a network or a past.
pub fn capabilities(profile: &Path, viewport: Viewport) -> Capabilities {
    let mut options = json!({
        "binary": "/usr/bin/chromium",
        "args": [
            "--headless=new", "--no-sandbox", "--disable-gpu", "--disable-quic", "--no-first-run", "--disable-background-networking",
            "--disable-component-update", "--disable-sync", "--disable-default-apps", "--hide-scrollbars", "--force-color-profile=srgb",
            // A new kitchen takes its units and clock from its first browser.
            "--lang=en-GB",
            "--accept-lang=en-GB",
            "--window-size=1280,800", "--disable-dev-shm-usage",
            // The kitchen vouches for itself: here it is taken at its word.
            "--ignore-certificate-errors", format!("--user-data-dir={}", profile.display()),
        ],
    });
    if viewport == Viewport::Phone {
        options["mobileEmulation"] =
            json!({"deviceMetrics": {"width": 390, "height": 844, "pixelRatio": 2, "touch": true, "mobile": true}});
    }
    let mut capabilities = Capabilities::new();
    capabilities.insert("goog:chromeOptions".into(), options);
    capabilities.insert("goog:loggingPrefs".into(), json!({"browser": "ALL"}));
    capabilities
}

#[derive(Debug)]
struct Extension {
    path: &'static str,
    body: Value,
}

impl WebDriverCompatibleCommand for Extension {
    fn endpoint(&self, base_url: &url::Url, session_id: Option<&str>) -> Result<url::Url, url::ParseError> {
        base_url.join(&format!("session/{}/{}", session_id.unwrap_or_default(), self.path))
    }

    fn method_and_body(&self, _: &url::Url) -> (http::Method, Option<String>) {
        (http::Method::POST, Some(self.body.to_string()))
    }
}

async fn devtools(browser: &Client, command: &str, parameters: Value) -> anyhow::Result<Value> {
    let body = json!({"cmd": command, "params": parameters});
    Ok(browser.issue_cmd(Extension { path: "goog/cdp/execute", body }).await?)
}

/// Makes the page exactly as large as the screen: a window is larger than what it shows.
pub async fn set_viewport(browser: &Client, viewport: Viewport) -> anyhow::Result<()> {
    if viewport == Viewport::Table {
        let size = json!({"width": 1280, "height": 800, "deviceScaleFactor": 1, "mobile": false});
        devtools(browser, "Emulation.setDeviceMetricsOverride", size).await?;
    }
    Ok(())
}

/// Prefers dark or light, as a system would.
pub async fn prefer(browser: &Client, scheme: &str) -> anyhow::Result<()> {
    let media = json!({"features": [{"name": "prefers-color-scheme", "value": scheme}]});
    devtools(browser, "Emulation.setEmulatedMedia", media).await.map(drop)
}

/// Cuts the connection, or mends it.
///
/// # Errors
/// When the browser is gone.
pub async fn offline(browser: &Client, cut: bool) -> anyhow::Result<()> {
    devtools(browser, "Network.enable", json!({})).await?;
    let conditions = json!({"offline": cut, "latency": 0, "downloadThroughput": -1, "uploadThroughput": -1});
    devtools(browser, "Network.emulateNetworkConditions", conditions).await.map(drop)
}

/// What the browser logged as errors since last asked.
pub async fn errors(browser: &Client) -> anyhow::Result<Vec<String>> {
    let log = browser.issue_cmd(Extension { path: "se/log", body: json!({"type": "browser"}) }).await?;
    let severe = log.as_array().into_iter().flatten().filter(|entry| entry["level"] == "SEVERE");
    Ok(severe.map(|entry| entry["message"].as_str().unwrap_or_default().to_owned()).collect())
}
