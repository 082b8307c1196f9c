//! What the server itself finds: who may not do what, what is not there, what was entered wrongly, what happened.
//!
//! Each has a text in the catalogues, by its code.

#[cfg(test)]
use jogo_core::fact::codes::Code;
use jogo_core::fact::{Value, facts};
use jogo_core::season::slots::TimeOfDay;
use jogo_core::technique::skill::Strand;
use jogo_core::units::Minutes;

facts! {
    /// Why something is not answered.
    pub enum Refusal {
        SignedOut = "refused-signed-out",
        WrongPassword = "refused-wrong-password",
        Busy = "refused-busy",
        SlowDown = "refused-slow-down" { minutes: u32 },
        TooSlow = "refused-too-slow",
        NotReady = "refused-not-ready",
        OtherMethod = "refused-other-method",
        NoLine = "refused-no-line",
        CodeNeeded = "refused-code-needed",
        WrongCode = "refused-wrong-code",
        SecondFactorFirst = "refused-second-factor-first",
        NotAllowed = "refused-not-allowed",
        OtherSite = "refused-other-site",
        NotFound = "refused-not-found" { what: Thing },
        VersionMissing = "refused-version-missing",
        NoJson = "refused-no-json",
        TooLarge = "refused-too-large" { kilobytes: usize },
        Internal = "refused-internal",
        Stale = "refused-stale",
    }

    /// What is not there.
    pub enum Thing {
        Page = "thing-page",
        Interface = "thing-interface",
        Skill = "thing-skill",
        Curriculum = "thing-curriculum",
        Goal = "thing-goal",
        Band = "thing-band",
        Edition = "thing-edition",
        Calendar = "thing-calendar",
        Session = "thing-session",
        Block = "thing-block",
        Remedy = "thing-remedy",
        Milestone = "thing-milestone",
        Test = "thing-test",
        Gates = "thing-gates",
        Player = "thing-player",
        Start = "thing-start",
        Drill = "thing-drill",
        DrillState = "thing-drill-state",
        Club = "thing-club",
        Team = "thing-team",
        Invitation = "thing-invitation",
        Person = "thing-person",
        SignIn = "thing-sign-in",
        PasswordLink = "thing-password-link",
        SecondFactor = "thing-second-factor",
        Note = "thing-note",
        Beginning = "thing-beginning",
        Place = "thing-place",
        Season = "thing-season",
        SeasonChange = "thing-season-change",
        DaysOff = "thing-days-off",
    }

    /// What is wrong with something that was entered.
    pub enum Entered {
        OtherAddress = "entered-other-address",
        AtMost = "entered-at-most" { most: usize },
        NotInSquad = "entered-not-in-squad",
        Day = "entered-day",
        OtherSeason = "entered-other-season" { day: String },
        Time = "entered-time" { written: String },
        NoMilestone = "entered-no-milestone",
        NoTest = "entered-no-test",
        FootMissing = "line-foot-missing" { test: String },
        FootTooMuch = "line-foot-too-much" { test: String },
        NotTheSum = "entered-not-the-sum" { value: f64, sum: f64 },
        NoEdition = "entered-no-edition",
        NoSession = "entered-no-session" { sessions: usize },
        NoPlace = "entered-no-place" { blocks: usize },
        NoBlock = "entered-no-block",
        Cursor = "entered-cursor",
        Email = "entered-email" { written: String },
        TimeZone = "entered-time-zone" { written: String },
        Password = "entered-password" { least: usize, most: usize, long: usize },
        PasswordGuessed = "entered-password-guessed",
        PasswordNames = "entered-password-names" { name: String },
        PasswordNow = "entered-password-now",
        Code = "entered-code",
        Oneself = "entered-oneself",
        SecondFactorOn = "entered-second-factor-on",
        NoCoach = "entered-no-coach",
        ClubNeeded = "entered-club-needed",
        ClubTooMuch = "entered-club-too-much",
        NoTeam = "entered-no-team",
        StandardInThePast = "entered-standard-in-the-past",
        MendOfLibrary = "entered-mend-of-library",
        MendOfNothing = "entered-mend-of-nothing",
        Left = "entered-left" { minutes: Minutes },
        AlreadyLogged = "entered-already-logged",
        ChangeLogged = "entered-change-logged",
        BreaksRule = "entered-breaks-rule" { session: usize, broken: Value },
        KeepsName = "entered-keeps-name",
        Spreadsheet = "entered-spreadsheet",
        LargeSpreadsheet = "entered-large-spreadsheet" { megabytes: u64 },
    }

    /// Why something stays as it is.
    pub enum Kept {
        OtherTest = "kept-other-test" { test: String },
        MilestoneRests = "kept-milestone-rests" { milestone: String },
        GateRests = "kept-gate-rests" { skill: String },
        CurriculumTests = "kept-curriculum-tests" { curriculum: String },
        TestHasResults = "kept-test-has-results",
        MilestoneHasWord = "kept-milestone-has-word",
    }

    /// What was changed, as undo and histories show it.
    pub enum Changed {
        LaidAnew = "change-laid-anew",
        Wishes = "change-wishes",
        Cancelled = "change-cancelled" { date: Value },
        CutShort = "change-cut-short" { date: Value, minutes: Minutes },
        TakenBack = "change-taken-back",
        OwnDays = "change-own-days",
        Times = "change-times",
        DaysOff = "change-days-off",
        CarriedOver = "change-carried-over",
        Waits = "change-waits" { skill: String },
        Begins = "change-begins" { skill: String },
        OneUp = "change-one-up" { drill: String },
        OneDown = "change-one-down" { drill: String },
        SameAgain = "change-same-again" { drill: String },
    }

    /// What a letter or a calendar says.
    pub enum Letter {
        WeekSubject = "letter-week-subject" { date: Value },
        WeekLine = "letter-week-line" { date: Value, team: String, what: Lasts },
        WhenLine = "letter-when-line" { from: TimeOfDay, to: TimeOfDay },
        WhenWhereLine = "letter-when-where-line" { from: TimeOfDay, to: TimeOfDay, place: String },
        ThemeLine = "letter-theme-line" { theme: Value },
        ThemeStrand = "letter-theme-strand" { strand: Strand, skills: Value },
        WeekEnd = "letter-week-end",
        LogsSubject = "letter-logs-subject" { count: usize },
        LogsText = "letter-logs-text",
        LogLine = "letter-log-line" { date: Value, team: String },
        BlockLine = "letter-block-line" { minutes: Minutes, title: String },
        TestLine = "letter-test-line" { minutes: Minutes, title: String },
        Weekday = "letter-weekday" { weekday: i8, date: Value },
        CalendarEntry = "calendar-entry" { team: String, what: Lasts },
        InvitationSubject = "letter-invitation-subject" { academy: String },
        InvitationText = "letter-invitation-text" { academy: String, until: Value },
        InvitationTeams = "letter-invitation-teams" { teams: Value },
        PasswordSubject = "letter-password-subject" { academy: String },
        PasswordText = "letter-password-text" { academy: String, until: Value },
    }

    /// How long a session is.
    pub enum Lasts {
        Whole = "lasts-whole" { minutes: Minutes },
        Left = "lasts-left" { minutes: Minutes },
        Cancelled = "lasts-cancelled",
    }
}

/// Every code of the server and of the store, each with the names of its values.
#[cfg(test)]
pub fn codes() -> Vec<Code> {
    let kinds = [
        Refusal::CODES,
        Thing::CODES,
        Entered::CODES,
        Kept::CODES,
        Changed::CODES,
        Letter::CODES,
        Lasts::CODES,
        jogo_store::Taken::CODES,
        jogo_store::Happened::CODES,
    ];
    kinds.into_iter().flatten().map(|(code, values)| ((*code).into(), *values)).collect()
}

#[cfg(test)]
#[allow(clippy::unwrap_used, reason = "a test may stop here")]
mod tests {
    use std::collections::{BTreeMap, BTreeSet};

    use fluent_syntax::ast::{Entry, Expression, InlineExpression, Pattern, PatternElement};
    use jogo_core::academy::language::Language;
    use jogo_core::fact::codes;
    use jogo_words::FILES;
    use rstest::rstest;

    /// Every text of a language that the server reads, with the values that it shows.
    fn texts(language: Language) -> BTreeMap<String, BTreeSet<String>> {
        let (_, files) = FILES.iter().find(|(each, _)| *each == language).unwrap();
        let mut texts = BTreeMap::new();
        for (file, text) in *files {
            let resource =
                fluent_syntax::parser::parse(*text).unwrap_or_else(|(_, e)| panic!("{file}: {e:?}"));
            for entry in resource.body {
                let Entry::Message(message) = entry else { continue };
                let mut values = BTreeSet::new();
                wanted(&message.value.unwrap(), &mut values);
                let name = message.id.name.to_owned();
                assert!(texts.insert(name.clone(), values).is_none(), "{file}: {name} is there twice");
            }
        }
        texts
    }

    fn wanted(pattern: &Pattern<&str>, values: &mut BTreeSet<String>) {
        for element in &pattern.elements {
            match element {
                PatternElement::Placeable { expression: Expression::Inline(inline) } => {
                    wanted_inline(inline, values);
                }
                PatternElement::Placeable { expression: Expression::Select { selector, variants } } => {
                    wanted_inline(selector, values);
                    variants.iter().for_each(|variant| wanted(&variant.value, values));
                }
                PatternElement::TextElement { .. } => {}
            }
        }
    }

    fn wanted_inline(inline: &InlineExpression<&str>, values: &mut BTreeSet<String>) {
        match inline {
            InlineExpression::VariableReference { id } => drop(values.insert(id.name.to_owned())),
            InlineExpression::FunctionReference { arguments, .. } => {
                arguments.positional.iter().for_each(|argument| wanted_inline(argument, values));
            }
            _ => {}
        }
    }

    /// Whether a text belongs to the program itself, a term or a kind of problem, rather than to a fact.
    fn is_a_word(name: &str) -> bool {
        let file = FILES[0].1.iter().find(|(file, _)| *file == "shared/words").unwrap().1;
        file.contains(&format!("\n{name} =")) || name.starts_with("problem-")
    }

    #[rstest]
    fn every_fact_has_a_text_with_its_values_and_every_text_a_fact(
        #[values(Language::English, Language::German)] language: Language,
    ) {
        let texts = texts(language);
        let mut codes: BTreeMap<String, BTreeSet<String>> = BTreeMap::new();
        for (code, values) in codes::all().into_iter().chain(super::codes()) {
            codes
                .entry(code.into_owned())
                .or_default()
                .extend(values.iter().map(|value| (*value).to_owned()));
        }
        for (code, values) in &codes {
            let shown = texts.get(code).unwrap_or_else(|| panic!("{code} has no text"));
            // A year is told with every day, and is for whoever asks for it.
            let known: BTreeSet<String> = values.iter().cloned().collect();
            assert!(shown.is_subset(&known), "{code} shows {shown:?} and has {known:?}");
        }
        let unused: Vec<&String> =
            texts.keys().filter(|name| !codes.contains_key(*name) && !is_a_word(name)).collect();
        assert!(unused.is_empty(), "texts without a fact: {unused:?}");
    }
}
