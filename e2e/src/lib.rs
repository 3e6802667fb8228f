//! The real application in a real browser: a server with its own data folder, and headless Chromium.

mod commands;
mod line;
mod process;

use std::path::PathBuf;
use std::time::Duration;

use anyhow::{Context, ensure};
use fantoccini::actions::{InputSource, MOUSE_BUTTON_LEFT, MouseActions, PointerAction};
use fantoccini::{Client, ClientBuilder, Locator, elements::Element};
use hyper_util::client::legacy::connect::HttpConnector;
use serde_json::json;

pub use commands::{Viewport, offline};
pub use line::Line;
use process::Running;

/// How a kitchen is served that lets other screens in.
const WIDE: [&str; 4] = ["--host", "0.0.0.0", "--name", "localhost"];
/// How long something may take to show.
const PATIENCE: Duration = Duration::from_secs(45);

/// A served kitchen and a browser looking at it; both end when this is dropped.
pub struct Kitchen {
    /// The browser.
    pub browser: Client,
    /// Where the application answers.
    pub address: String,
    folder: PathBuf,
    /// Where its data lies, to be cleared in the end.
    kept: Option<PathBuf>,
    data: PathBuf,
    speed: u32,
    /// What it is served with besides.
    more: Vec<String>,
    /// None where this is another screen of a kitchen.
    server: Option<Running>,
    hub: Option<Running>,
    _driver: Running,
}

impl Kitchen {
    /// Starts the built binary with or without the demo kitchen, and a browser of a size.
    ///
    /// # Errors
    /// When the binary, ChromeDriver or Chromium is missing or does not start.
    pub async fn open(demo: bool, viewport: Viewport) -> anyhow::Result<Self> {
        let kitchen = Self::at_speed(demo, viewport, 1).await?;
        if demo {
            kitchen.read_up_to_now()?;
        }
        Ok(kitchen)
    }

    /// What the demo's probes have read up to now: in a kitchen without its hub they would be missed.
    ///
    /// # Errors
    /// When the hub is not built.
    pub fn read_up_to_now(&self) -> anyhow::Result<()> {
        let (to, scene) = (self.address.trim_start_matches("http://"), root().join("demo/hub.json"));
        let sent = std::process::Command::new(built("ergastic-standins")?)
            .args(["--to", to, "--once", "--scene"])
            .arg(scene)
            .status()?;
        ensure!(sent.success(), "the demo's probes could not be read");
        Ok(())
    }

    /// The same with a clock that runs so many times as fast.
    ///
    /// # Errors
    /// As [`Self::open`].
    pub async fn at_speed(demo: bool, viewport: Viewport, speed: u32) -> anyhow::Result<Self> {
        let folder = std::env::temp_dir().join(format!("ergastic-e2e-{}-{}", std::process::id(), process::unique()));
        std::fs::create_dir_all(&folder)?;
        let data = folder.join("data");
        let (server, address) = served(&data, 0, demo, speed, &[] as &[&str])?;
        let mut kitchen = Self::device(address, viewport).await?;
        (kitchen.data, kitchen.speed, kitchen.server) = (data, speed, Some(server));
        kitchen.kept = Some(folder);
        Ok(kitchen)
    }

    /// The same, open to other screens under a passphrase.
    ///
    /// # Errors
    /// As [`Self::open`].
    pub async fn open_wide(viewport: Viewport, speed: u32, passphrase: &str) -> anyhow::Result<Self> {
        let folder = std::env::temp_dir().join(format!("ergastic-e2e-{}-{}", std::process::id(), process::unique()));
        std::fs::create_dir_all(&folder)?;
        let data = folder.join("data");
        process::tell(&built("ergastic")?, &["passphrase", "--data", &data.display().to_string()], passphrase)?;
        let (server, address) = served(&data, 0, true, speed, &WIDE)?;
        let mut kitchen = Self::device(address, viewport).await?;
        (kitchen.data, kitchen.speed, kitchen.server) = (data, speed, Some(server));
        (kitchen.kept, kitchen.more) = (Some(folder), WIDE.map(str::to_owned).to_vec());
        Ok(kitchen)
    }

    /// The kitchen's port.
    ///
    /// # Errors
    /// When its address names none.
    pub fn port(&self) -> anyhow::Result<u16> {
        self.address.rsplit(':').next().and_then(|port| port.parse().ok()).context("the port")
    }

    /// A screen that comes in from beyond this machine, over a line that can be cut.
    ///
    /// # Errors
    /// When it does not start.
    pub async fn screen_beyond(&self, line: &Line, viewport: Viewport) -> anyhow::Result<Self> {
        Self::device(format!("https://localhost:{}", line.port), viewport).await
    }

    /// Whether the demo's hub, from beyond this machine, is let in with a key; it trusts the kitchen's authority.
    ///
    /// # Errors
    /// When it is not built, or there is no authority.
    pub fn hub_is_let_in(&self, key: &str) -> anyhow::Result<bool> {
        let kept: serde_json::Value = serde_json::from_slice(&std::fs::read(self.data.join("authority.json"))?)?;
        let authority = self.folder.join("authority.pem");
        std::fs::write(&authority, kept["certificate"].as_str().context("the certificate")?)?;
        let told = std::process::Command::new(built("ergastic-standins")?)
            .args(["--to", &format!("localhost:{}", self.port()?), "--once", "--key", key, "--authority"])
            .arg(authority)
            .arg("--scene")
            .arg(root().join("demo/hub.json"))
            .stderr(std::process::Stdio::null())
            .status()?;
        Ok(told.success())
    }

    /// Another browser that looks at this kitchen.
    ///
    /// # Errors
    /// When it does not start.
    pub async fn another_screen(&self, viewport: Viewport) -> anyhow::Result<Self> {
        Self::device(self.address.clone(), viewport).await
    }

    /// Kills the server in the midst of whatever it does, and starts it again where it was.
    ///
    /// # Errors
    /// When it does not start again.
    pub fn restart(&mut self) -> anyhow::Result<()> {
        self.server = None;
        let port = self.port()?;
        let (server, _) = served(&self.data, port, false, self.speed, &self.more)?;
        self.server = Some(server);
        Ok(())
    }

    /// Starts the simulated hub with the cooks and probes of a scene.
    ///
    /// # Errors
    /// When it is not built.
    pub fn hub(&mut self, scene: &serde_json::Value) -> anyhow::Result<()> {
        let file = self.folder.join("hub.json");
        std::fs::write(&file, scene.to_string())?;
        let to = self.address.trim_start_matches("http://");
        let arguments = ["--to", to, "--scene", file.to_str().context("the folder's name")?];
        self.hub = Some(Running::start(&built("ergastic-standins")?, &arguments)?);
        Ok(())
    }

    async fn device(address: String, viewport: Viewport) -> anyhow::Result<Self> {
        let folder = std::env::temp_dir().join(format!("ergastic-e2e-{}-{}", std::process::id(), process::unique()));
        std::fs::create_dir_all(&folder)?;
        let (driver, port) = driver()?;
        let profile = folder.join("profile");
        let browser = ClientBuilder::new(HttpConnector::new())
            .capabilities(commands::capabilities(&profile, viewport))
            .connect(&format!("http://127.0.0.1:{port}"))
            .await
            .context("Chromium does not start")?;
        commands::set_viewport(&browser, viewport).await?;
        let data = folder.join("data");
        Ok(Self {
            browser,
            address,
            folder,
            kept: None,
            data,
            speed: 1,
            more: Vec::new(),
            server: None,
            hub: None,
            _driver: driver,
        })
    }

    /// Opens an address of the application.
    ///
    /// # Errors
    /// When the browser can't.
    pub async fn go(&self, path: &str) -> anyhow::Result<()> {
        Ok(self.browser.goto(&format!("{}{path}", self.address)).await?)
    }

    /// The first element an XPath finds, waited for.
    ///
    /// # Errors
    /// When it does not show in time; the message carries the page's text.
    pub async fn find(&self, xpath: &str) -> anyhow::Result<Element> {
        match self.browser.wait().at_most(PATIENCE).for_element(Locator::XPath(xpath)).await {
            Ok(element) => Ok(element),
            Err(error) => {
                let page = self.text().await.unwrap_or_default();
                Err(anyhow::anyhow!("{xpath} does not show ({error}); the page says:\n{page}"))
            }
        }
    }

    /// Waits until the page says something.
    ///
    /// # Errors
    /// When it does not in time.
    pub async fn says(&self, words: &str) -> anyhow::Result<()> {
        self.find(&format!("//body//*[not(self::script)][contains(normalize-space(.), \"{words}\")]")).await.map(drop)
    }

    /// Clicks a button or link by what it says.
    ///
    /// # Errors
    /// When there is none.
    pub async fn press(&self, name: &str) -> anyhow::Result<()> {
        let xpath = format!(
            "//*[self::button or self::a or self::label or self::summary][contains(normalize-space(.), \"{name}\")][not(@disabled)]"
        );
        let element = self.find(&xpath).await?;
        self.at_rest(&element).await?;
        element.click().await.with_context(|| format!("{name} can't be pressed"))
    }

    /// Brings an element to the middle of the screen and waits until it stays there: what has just come moves what stands below it.
    async fn at_rest(&self, element: &Element) -> anyhow::Result<()> {
        let place = "arguments[0].scrollIntoView({block: 'center'}); const at = arguments[0].getBoundingClientRect(); \
                     return [at.x, at.y, at.width, at.height]";
        let (mut before, mut same) = (serde_json::Value::Null, 0);
        for _ in 0..50 {
            if same == 2 {
                break;
            }
            self.drawn().await?;
            let now = self.browser.execute(place, vec![serde_json::to_value(element)?]).await?;
            same = if now == before { same + 1 } else { 0 };
            before = now;
        }
        Ok(())
    }

    /// An attribute of an element once it has stayed the same for a second: what was dragged is answered more than once.
    ///
    /// # Errors
    /// When the element is not there, has no such attribute or never comes to rest.
    pub async fn settled(&self, xpath: &str, attribute: &str) -> anyhow::Result<String> {
        let (mut before, mut same) = (String::new(), 0);
        for _ in 0..200 {
            let now = self.find(xpath).await?.attr(attribute).await?.context("it has no such attribute")?;
            same = if now == before { same + 1 } else { 0 };
            if same == 5 {
                return Ok(now);
            }
            before = now;
            tokio::time::sleep(Duration::from_millis(200)).await;
        }
        anyhow::bail!("{xpath} never comes to rest")
    }

    /// Types into the field of a label, over what stands there.
    ///
    /// # Errors
    /// When there is no such field.
    pub async fn fill(&self, label: &str, text: &str) -> anyhow::Result<()> {
        let field = self.find(&format!("//*[@id=//label[contains(normalize-space(.), \"{label}\")]/@for]")).await?;
        let select_all = "arguments[0].scrollIntoView({block: 'center'}); arguments[0].focus(); arguments[0].select()";
        self.browser.execute(select_all, vec![serde_json::to_value(&field)?]).await?;
        for key in text.chars() {
            field.send_keys(&key.to_string()).await?;
            self.drawn().await?;
        }
        Ok(())
    }

    /// Waits until the page has drawn itself, as it does between two keys of one hand.
    async fn drawn(&self) -> anyhow::Result<()> {
        let frames = "requestAnimationFrame(() => requestAnimationFrame(() => arguments[0]()))";
        self.browser.execute_async(frames, Vec::new()).await?;
        Ok(())
    }

    /// Types a day and an hour (`2027-02-06 18:30`) into the parts of a field, in the order they stand there.
    ///
    /// # Errors
    /// When there is no such field.
    pub async fn when(&self, label: &str, at: &str) -> anyhow::Result<()> {
        let digits: Vec<&str> = at.split(['-', ' ', ':']).collect();
        let [year, month, day, hour, minute] = digits[..] else { anyhow::bail!("{at} is no day and hour") };
        for (part, text) in [("Day", day), ("Month", month), ("Year", year), ("Hour", hour), ("Minute", minute)] {
            let part = self
                .find(&format!(
                    "//*[@data-scope='date-input' and @data-part='root'][.//label[contains(., \"{label}\")] or .//*[@data-part='label'][contains(., \"{label}\")]]//*[@role='spinbutton' and @aria-label='{part}']"
                ))
                .await?;
            self.browser.execute("arguments[0].focus()", vec![serde_json::to_value(&part)?]).await?;
            part.send_keys(text).await?;
        }
        Ok(())
    }

    /// Clicks a button by the name it is read out with.
    ///
    /// # Errors
    /// When there is none.
    pub async fn press_named(&self, name: &str) -> anyhow::Result<()> {
        let element = self.find(&format!("//button[starts-with(@aria-label, \"{name}\")][not(@disabled)]")).await?;
        element.click().await.with_context(|| format!("{name} can't be pressed"))
    }

    /// Takes hold of something and drags it so many pixels, as a hand with a mouse does: pressed, moved in steps, let go.
    ///
    /// # Errors
    /// When the browser can't.
    pub async fn drag(&self, element: &Element, x: i64, y: i64) -> anyhow::Result<()> {
        self.at_rest(element).await?;
        let step = |share: i64| PointerAction::MoveBy {
            duration: Some(Duration::from_millis(30)),
            x: (x * share / 5 - x * (share - 1) / 5) as f64,
            y: (y * share / 5 - y * (share - 1) / 5) as f64,
        };
        let mut hand = MouseActions::new("hand".into())
            .then(PointerAction::MoveToElement { element: element.clone(), duration: None, x: 0.0, y: 0.0 })
            .then(PointerAction::Down { button: MOUSE_BUTTON_LEFT });
        for share in 1..=5 {
            hand = hand.then(step(share));
        }
        Ok(self.browser.perform_actions(hand.then(PointerAction::Up { button: MOUSE_BUTTON_LEFT })).await?)
    }

    /// Day or night as the system has it, and the page really in it.
    ///
    /// # Errors
    /// When the page does not follow.
    pub async fn light(&self, scheme: &str) -> anyhow::Result<()> {
        commands::prefer(&self.browser, scheme).await?;
        self.find(&format!("/html[contains(@class, '{scheme}')]")).await.map(drop)
    }

    /// Everything the page says.
    ///
    /// # Errors
    /// When the browser is gone.
    pub async fn text(&self) -> anyhow::Result<String> {
        let said = self.browser.execute("return document.body.innerText", vec![]).await?;
        Ok(said.as_str().unwrap_or_default().to_owned())
    }

    /// Fails on anything the browser logged as an error since last asked.
    ///
    /// # Errors
    /// With the browser's own words.
    pub async fn assert_no_errors(&self) -> anyhow::Result<()> {
        let errors = commands::errors(&self.browser).await?;
        ensure!(errors.is_empty(), "the browser logged: {errors:?}");
        Ok(())
    }

    /// Fails on contrast, names, roles, the size of what is touched and good practice that axe finds wrong, and on a page with
    /// nothing on it: that would pass.
    ///
    /// # Errors
    /// With each rule and the element it found.
    pub async fn assert_accessible(&self) -> anyhow::Result<()> {
        let axe = std::fs::read_to_string(root().join("web/node_modules/axe-core/axe.min.js"))
            .context("axe-core is not installed")?;
        self.find("//main//h1").await?;
        self.browser.execute(&format!("{axe}; window.axe = axe"), vec![]).await?;
        let found = self
            .browser
            .execute_async(
                "const done = arguments[0]; axe.run({runOnly: ['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa', 'best-practice']}).then(\
                 r => done(r.violations.map(v => v.id + ': ' + v.nodes.map(n => n.html.slice(0, 160)).slice(0, 3).join(' | '))),\
                 e => done([String(e)]))",
                vec![],
            )
            .await?;
        ensure!(found == json!([]), "axe found: {found:#}");
        Ok(())
    }

    /// Fails when the page is wider than the screen.
    ///
    /// # Errors
    /// With the two widths.
    pub async fn assert_fits(&self) -> anyhow::Result<()> {
        let widths =
            self.browser.execute("return [document.documentElement.scrollWidth, window.innerWidth]", vec![]).await?;
        ensure!(
            widths[0].as_i64() <= widths[1].as_i64(),
            "the page is {} wide on a screen of {}",
            widths[0],
            widths[1]
        );
        Ok(())
    }

    /// Ends the browser's session before the processes are killed.
    ///
    /// # Errors
    /// When the session is gone already.
    pub async fn close(self) -> anyhow::Result<()> {
        Ok(self.browser.clone().close().await?)
    }
}

impl Drop for Kitchen {
    fn drop(&mut self) {
        (self.server, self.hub) = (None, None);
        for folder in [Some(&self.folder), self.kept.as_ref()].into_iter().flatten() {
            let _ = std::fs::remove_dir_all(folder);
        }
    }
}

/// The project's folder.
pub fn root() -> PathBuf {
    PathBuf::from(env!("CARGO_MANIFEST_DIR")).parent().map(PathBuf::from).unwrap_or_default()
}

/// ChromeDriver and its port. The one it picks may be taken by another in the same moment, and then it ends: it is asked again.
fn driver() -> anyhow::Result<(Running, String)> {
    let mut last = None;
    for _ in 0..4 {
        let driver = Running::start(&PathBuf::from("chromedriver"), &["--port=0"])?;
        match driver.wait_for_line(|line| {
            line.split("started successfully on port ").nth(1).map(|rest| rest.trim_end_matches('.').to_owned())
        }) {
            Ok(port) => return Ok((driver, port)),
            Err(error) => last = Some(error),
        }
    }
    Err(last.context("ChromeDriver does not start")?)
}

/// A server on a port (0 picks one), and where it answers.
fn served(
    data: &std::path::Path,
    port: u16,
    demo: bool,
    speed: u32,
    more: &[impl AsRef<str>],
) -> anyhow::Result<(Running, String)> {
    let (port, speed) = (port.to_string(), speed.to_string());
    let data = data.to_str().context("the folder's name")?;
    let mut arguments = vec!["serve", "--port", &port, "--data", data, "--speed", &speed];
    if demo {
        arguments.push("--demo");
    }
    arguments.extend(more.iter().map(AsRef::as_ref));
    let server = Running::start(&built("ergastic")?, &arguments)?;
    let address = server.wait_for_line(|line| line.starts_with("http://").then(|| line.to_owned()))?;
    Ok((server, address))
}

fn built(name: &str) -> anyhow::Result<PathBuf> {
    let built = root().join("target/debug").join(name);
    ensure!(built.exists(), "{} is not built: run ./dev build", built.display());
    Ok(built)
}
