/** Every text with the values that it wants. Made from locales/en by `make words`. */
export interface Messages {
  'board-open': null
  'board-open-of': { team: Value }
  'board-view': null
  'board-views-board': null
  'board-views-groups': null
  'board-views-list': null
  'board-views-handover': null
  'board-milestones': null
  'board-player': null
  'board-other-foot': null
  'board-next-week': { week: Value; from: Value }
  'board-no-week': null
  'board-state-not_seen': null
  'board-state-on_the_way': null
  'board-state-met': null
  'board-state-kept': null
  'board-state-slipped': null
  'board-state-means-not_seen': null
  'board-state-means-on_the_way': null
  'board-state-means-met': null
  'board-state-means-kept': null
  'board-state-means-slipped': null
  'board-since': { day: Value }
  'board-cell': { player: Value; milestone: Value; state: Value }
  'board-group-move_on': null
  'board-group-other_foot': null
  'board-group-consolidate': null
  'board-group-means-move_on': null
  'board-group-means-other_foot': null
  'board-group-means-consolidate': null
  'board-nobody': null
  'board-nothing-seen': null
  'board-missing': { more: Value; names: Value }
  'board-all-met': { n: Value }
  'board-behind': { test: Value; percent: Value }
  'board-feet': { called: Value; test: Value; percent: Value }
  'board-sort': null
  'board-sorts-list': null
  'board-sorts-decide': null
  'board-overridden': { by: Value; day: Value }
  'board-evidence': { state: Value }
  'board-say-otherwise': null
  'board-away': { skills: Value }
  'board-reason': null
  'board-verdict-met': null
  'board-verdict-not_yet': null
  'board-verdict-as_evidence': null
  'board-reason-missing': null
  'board-progress-sheet': null
  'board-progress-sheets': null
  'board-print': null
  'board-empty': null
  'progress-back': null
  'progress-lines': null
  'progress-had': { n: Value; of: Value }
  'progress-can-do': null
  'progress-results': null
  'progress-test': null
  'progress-last': null
  'progress-change': null
  'progress-real': null
  'progress-noise': null
  'progress-unknown': null
  'progress-today': { level: Value }
  'progress-near': { level: Value; percent: Value }
  'progress-touch': { seconds: Value }
  'progress-both-feet': null
  'progress-away': { skills: Value }
  'progress-next': null
  'progress-ready': null
  'progress-missing': { what: Value }
  'progress-unspoken': { what: Value }
  'progress-note': null
  'progress-data': null
  'progress-export': null
  'progress-correct': null
  'progress-correct-name': null
  'progress-correct-born': null
  'progress-correct-foot': null
  'progress-foot-left': null
  'progress-foot-right': null
  'progress-correct-save': null
  'progress-move': null
  'progress-move-about': { name: Value }
  'progress-move-to': null
  'progress-move-choose': null
  'progress-move-none': null
  'progress-move-go': null
  'progress-leave': null
  'progress-leave-about': { name: Value }
  'progress-waits': null
  'left-title': null
  'left-line': { name: Value; left: Value; erased: Value }
  'left-return': null
  'progress-erase': null
  'progress-erase-about': { name: Value }
  'progress-erase-sure': null
  'progress-keep': null
  'standards-tests': null
  'standards-no-bands': null
  'standards-bands': { first: Value; last: Value }
  'standards-results': { n: Value }
  'standards-no-results': null
  'standards-no-standard': null
  'standards-begin': { band: Value }
  'standards-from': { day: Value }
  'standards-handle': { level: Value; band: Value }
  'standards-repeat': null
  'standards-typical-error': null
  'standards-smallest-real': null
  'standards-bias': null
  'standards-variation': null
  'standards-agreement': null
  'standards-pairs': { n: Value }
  'standards-old': null
  'standards-thought': null
  'standards-quarters': null
  'standards-quarter-1': null
  'standards-quarter-2': null
  'standards-quarter-3': null
  'standards-quarter-4': null
  'standards-quarter-about': null
  'standards-suggestion': null
  'standards-percentiles': null
  'standards-take': null
  'standards-take-all': null
  'standards-raw': { value: Value; low: Value; high: Value }
  'standards-tempo': null
  'standards-tempo-touch': { seconds: Value }
  'standards-tempo-measured': { seconds: Value; n: Value; fast: Value }
  'standards-tempo-few': { fast: Value }
  'standards-holds-from': null
  'standards-set': null
  'standards-reset': null
  'standards-set-done': { bands: Value }
  'standards-milestones': null
  'standards-no-milestones': null
  'standards-add-milestone': null
  'standards-since': { day: Value; thresholds: Value }
  'standards-drop-milestone': null
  'standards-making-title': { band: Value }
  'standards-making-value': null
  'standards-making-says': null
  'standards-making-example': null
  'standards-making-short': null
  'standards-making-stage': null
  'standards-making-evidence': null
  'standards-making-level': null
  'standards-making-feet': null
  'standards-making-foot-both': null
  'standards-making-foot-either': null
  'standards-making-foot-strong': null
  'standards-making-foot-other': null
  'standards-making-times': null
  'standards-making-of-last': null
  'standards-making-days': null
  'standards-making-keep': null
  'standards-write': null
  'standards-change-test': null
  'standards-writing-fresh': null
  'standards-writing-change': { name: Value }
  'standards-writing-name': null
  'standards-writing-short': null
  'standards-writing-skill': null
  'standards-writing-choose-skill': null
  'standards-writing-how': null
  'standards-writing-how-example': null
  'standards-writing-recorded': null
  'standards-writing-fixed': null
  'standards-writing-protocol': null
  'standards-writing-kind-count': null
  'standards-writing-kind-course': null
  'standards-writing-kind-streak': null
  'standards-writing-kind-hits': null
  'standards-writing-kind-bounces': null
  'standards-writing-kind-distance': null
  'standards-writing-kind-points': null
  'standards-writing-seconds': null
  'standards-writing-penalty': null
  'standards-writing-streak-cap': null
  'standards-writing-of': null
  'standards-writing-services': null
  'standards-writing-bounce-cap': null
  'standards-writing-better': null
  'standards-writing-betters-higher': null
  'standards-writing-betters-lower': null
  'standards-writing-points': null
  'standards-writing-points-example': null
  'standards-writing-points-fixed': { n: Value }
  'standards-writing-per-side': null
  'standards-writing-trials': null
  'standards-writing-summary': null
  'standards-writing-summaries-best': null
  'standards-writing-summaries-mean': null
  'standards-writing-summaries-median': null
  'standards-writing-rest': null
  'standards-writing-least': null
  'standards-writing-most': null
  'standards-writing-layout': null
  'standards-writing-layout-example': null
  'standards-writing-counted': null
  'standards-writing-counted-none': null
  'standards-writing-counted-touches': null
  'standards-writing-counted-rounds': null
  'standards-writing-counted-about': null
  'standards-writing-keep': null
  'standards-writing-drop': null
  'standards-keys': null
  'standards-history': null
  'gates-about': null
  'gates-open': null
  'gates-there': null
  'gates-away': null
  'gates-waiting': null
  'gates-running': null
  'gates-entered': null
  'gates-doubtful': null
  'gates-doubt-line_missing': null
  'gates-doubt-no_start': null
  'gates-doubt-no_stop': null
  'gates-doubt-started_twice': null
  'gates-doubt-said_twice': null
  'gates-doubt-clock_went_back': null
  'gates-doubt-out_of_range': null
  'squad-title': { n: Value }
  'squad-none': null
  'squad-load': null
  'squad-export': null
  'squad-point': null
  'squad-column': { n: Value }
  'squad-column-of-name': null
  'squad-column-of-birth_month': null
  'squad-column-of-strong_foot': null
  'squad-choose-column': null
  'squad-columns': null
  'squad-example': null
  'squad-nothing-yet': null
  'squad-line': { n: Value }
  'squad-ready': { n: Value }
  'squad-faulty': { n: Value }
  'squad-add': { n: Value }
  'squad-leave-out': { n: Value }
  'squad-added': { n: Value }
  'squad-strong': { side: Value }
  'squad-born': null
  'squad-no-results': null
  'squad-choose': null
  'squad-large': null
  'test-title': null
  'test-no-squad': null
  'test-to-squad': null
  'test-round': { n: Value }
  'test-before': { value: Value }
  'test-enter': null
  'test-entry': { side: Value; player: Value; round: Value }
  'test-delete': null
  'test-out-of-range': { least: Value; most: Value }
  'test-whole': null
  'test-finer': { step: Value }
  'test-sure': { before: Value }
  'test-rest': { seconds: Value }
  'test-services': { n: Value }
  'test-mean': { value: Value }
  'test-tools': null
  'test-tool-keys': null
  'test-tool-stopwatch': null
  'test-tool-tapper': null
  'test-tool-ticks': null
  'test-tool-points': null
  'test-tool-gates': null
  'test-start': null
  'test-stop': null
  'test-lap': null
  'test-missed': { seconds: Value }
  'test-tap': null
  'test-over': null
  'test-one-less': null
  'test-clock': null
  'test-hit': null
  'test-miss': null
  'test-tick-back': null
  'test-ticked': { hits: Value; tries: Value; of: Value }
  'test-mark-0': null
  'test-mark-1': null
  'test-mark-2': null
  'test-mark-short-0': null
  'test-mark-short-1': null
  'test-mark-short-2': null
  'test-on': null
  'test-on-paper': null
  'test-paper': null
  'test-lists': null
  'test-read-list': null
  'test-list-columns': null
  'test-will-read': { n: Value }
  'test-faulty-lines': { n: Value }
  'test-read-in': { n: Value }
  'test-was-read': { n: Value }
  'test-complete': null
  'test-back': null
  'test-no-standard': null
  'test-left': null
  'test-right': null
  'levels-title': null
  'levels-between': { low: Value; high: Value }
  'levels-band': null
  'levels-view': null
  'levels-views-milestones': null
  'levels-views-tests': null
  'levels-about-milestones': null
  'levels-about-tests': null
  'levels-milestones': null
  'levels-all-clubs': null
  'levels-have': { n: Value; of: Value }
  'levels-none': null
  'levels-without': { n: Value }
  'levels-players': { n: Value }
  'levels-secure': null
  'levels-club': null
  'levels-counts': { level: Value; n: Value }
  'levels-few': null
  'board-scrolls': null
  'levels-promised': null
  'levels-others': null
  'progress-promised': null
  'progress-others': null
  'progress-later': { n: Value }
  'standards-none': null
  'levels-no-bands': null
  'handover-to': { players: Value; name: Value; day: Value }
  'handover-to-draft': { players: Value; name: Value; day: Value }
  'handover-to-none': { players: Value }
  'handover-short': null
  'handover-skill': { skill: Value; stage: Value }
  'handover-have': { have: Value; of: Value }
  'handover-needed-by': { skills: Value }
  'handover-not-yet': { names: Value }
  'handover-at': { name: Value; stage: Value }
  'handover-unseen': { names: Value }
  'handover-bridge': { n: Value; sessions: Value }
  'handover-there': null
  'handover-unspoken': null
  'handover-foot': null
  'handover-new': null
  'handover-new-from': { name: Value; team: Value }
  'handover-milestones': null
  'handover-milestone': null
  'handover-head-have': null
  'handover-head-slipped': null
  'handover-head-on_the_way': null
  'handover-head-never_seen': null
  'handover-nobody': { n: Value }
  'session-kit': null
  'session-markers': { colour: Value; n: Value; name: Value }
  'session-no-kit': null
  'session-unused': { n: Value }
  'session-lay-out': { n: Value }
  'session-stay': { n: Value }
  'session-lay-out-rest': { n: Value; stay: Value }
  'session-theme': { theme: Value }
  'session-theme-strand': { strand: Value; skills: Value }
  'session-bouts': { rest: Value; n: Value; work: Value }
  'session-touches': { strong: Value; other: Value }
  'session-waiting': { share: Value }
  'session-assumption': null
  'session-points': null
  'session-faults': null
  'session-cautions': null
  'session-caution-tail': null
  'session-in-game': null
  'session-beside': null
  'today-next': { day: Value }
  'today-none': null
  'today-start': null
  'today-pause': null
  'today-go-on': null
  'today-again': null
  'today-phase-explain': null
  'today-phase-work': null
  'today-phase-rest': null
  'today-phase-challenge': null
  'today-phase-over': null
  'today-bout': { n: Value; of: Value }
  'today-more': null
  'today-less': null
  'today-block': { n: Value; of: Value }
  'today-how-it-went': null
  'today-all-said': null
  'session-hinge-share': { skill: Value; share: Value }
  'session-hinge-word': { skill: Value }
  'session-hinge-meanwhile': { instead: Value }
  'session-hinge-left-out': null
  'session-hinge-stuck': null
  'today-hinge-ready': { skill: Value; ready: Value; players: Value; needed: Value }
  'today-hinge-begun': { skill: Value }
  'today-hinge-waits': { skill: Value; ready: Value; players: Value; needed: Value }
  'today-hinge-ask': { skill: Value }
  'today-hinge-begin': null
  'today-hinge-begin-word': null
  'today-edition': { n: Value }
  'today-to-today': null
  'today-sound': null
  'today-silent': null
  'today-rungs': null
  'ran-one_down': null
  'ran-one_up': null
  'stations-title': null
  'stations-how': null
  'stations-mixed': null
  'stations-like_with_like': null
  'stations-again': null
  'stations-station': { n: Value }
  'stations-taps': null
  'stations-tap-swap': null
  'stations-tap-apart': null
  'stations-tap-together': null
  'stations-first-swap': null
  'stations-first-apart': null
  'stations-first-together': null
  'stations-second-swap': { name: Value }
  'stations-second-apart': { name: Value }
  'stations-second-together': { name: Value }
  'stations-wish': { together: Value; one: Value; other: Value }
  'stations-broken': null
  'stations-drop': { one: Value; other: Value }
  'stations-nobody-said': null
  'next-time': null
  'next-time-of': { day: Value; drill: Value }
  'next-time-one_down': null
  'next-time-same': null
  'next-time-one_up': null
  'next-time-no-one_down': null
  'next-time-no-one_up': null
  'next-time-change': null
  'next-time-just': { drill: Value }
  'next-time-stepped-one_up': null
  'next-time-stepped-one_down': null
  'today-not-met': { n: Value; names: Value }
  'today-not-met-down': { how: Value }
  'stations-one_down': null
  'stations-one-down': null
  'session-bibs': { n: Value }
  'voice-open': null
  'voice-of': { drill: Value }
  'voice-said': { voice: Value }
  'voice-line': null
  'voice-answer': { by: Value; says: Value }
  'voice-works': null
  'voice-does_not_fit': null
  'voice-too_hard': null
  'voice-too_easy': null
  'voice-not_liked': null
  'outbox-next-time': { next: Value }
  'outbox-voice': { voice: Value }
  'dose-timed': { sets: Value; work: Value }
  'dose-reps': { sets: Value; reps: Value }
  'dose-laps': { reps: Value; laps: Value }
  'dose-both-ways': null
  'dose-tries': { tries: Value }
  'dose-streak': { target: Value; cap: Value }
  'dose-until-told': { sets: Value; least: Value; most: Value }
  'dose-series': { moves: Value; work: Value }
  'dose-rounds': { n: Value }
  'dose-challenge': { s: Value }
  'series-title': null
  'series-challenge': null
  'series-enter': { challenge: Value }
  'today-move-next': { move: Value }
  'dose-each': null
  'dose-alternate': null
  'dose-rest': { rest: Value }
  'dose-about': { s: Value }
  'today-foot-strong': null
  'today-foot-other': null
  'streak': null
  'streak-hit': null
  'streak-miss': null
  'streak-done': { target: Value }
  'streak-best': { best: Value }
  'log-title': null
  'log-here': null
  'log-tap': null
  'log-count': { here: Value; all: Value }
  'log-everyone': null
  'log-is-missing': { name: Value }
  'log-blocks': null
  'log-nothing': null
  'log-minutes': { planned: Value }
  'log-came-off': null
  'log-note': null
  'log-note-whom': null
  'log-note-whom-chosen': null
  'log-note-of': { names: Value }
  'log-note-about': null
  'log-note-gone': null
  'log-note-said': null
  'log-note-delete': null
  'log-note-deleted': null
  'log-history': null
  'log-somebody': null
  'log-player': { present: Value; name: Value }
  'log-tenths': { n: Value }
  'log-block': { success: Value; title: Value; outcome: Value }
  'upset-open': null
  'upset-title': { day: Value }
  'upset-kinds-out': null
  'upset-kinds-short': null
  'upset-kind': null
  'upset-left': null
  'upset-how': null
  'upset-remedy-shift': null
  'upset-remedy-squeeze': null
  'upset-remedy-skip': null
  'upset-means-shift': null
  'upset-means-squeeze': null
  'upset-means-skip': null
  'upset-score': { points: Value }
  'upset-moved': { n: Value }
  'upset-enough': null
  'upset-short': { what: Value }
  'upset-sound': null
  'upset-breaks': { n: Value }
  'upset-go': null
  'upset-cancelled': null
  'own-open': null
  'own-open-theirs': null
  'own-title': null
  'own-about': null
  'own-days-fixed': null
  'own-as-edition': null
  'own-fitting': null
  'weeks-came-off': { came: Value; expected: Value; n: Value }
  'weeks-came-off-more': null
  'weeks-came-off-less': null
  'weeks-came-off-theta': { theta: Value; least: Value; most: Value }
  'weeks-none': null
  'weeks-planned': { n: Value }
  'weeks-today': null
  'weeks-no-log': null
  'weeks-cancelled': null
  'weeks-shortened': { left: Value }
  'weeks-gone-on-shift': null
  'weeks-gone-on-squeeze': null
  'weeks-gone-on-skip': null
  'weeks-back': { what: Value }
  'sessions-title': null
  'sessions-about': null
  'sessions-none': null
  'sessions-delivered': null
  'sessions-planned': null
  'sessions-logs-missing': { n: Value }
  'sessions-week': null
  'sessions-cell': { team: Value; week: Value; delivered: Value; planned: Value }
  'sessions-share': null
  'sessions-cancelled': { n: Value }
  'sessions-short': null
  'sessions-choose': null
  'home-title': null
  'home-how': null
  'home-foot-strong': null
  'home-foot-other': null
  'home-feet': null
  'home-grown-up': null
  'home-nothing': null
  'home-gone': null
  'home-ask-coach': null
  'home-floor': { width: Value; depth: Value }
  'home-instead': { kit: Value; instead: Value }
  'home-chain': { n: Value }
  'home-challenge': { seconds: Value }
  'home-paper': null
  'home-code': null
  'home-hand-out': null
  'home-renew': null
  'home-came': null
  'home-came-about': { drill: Value; seconds: Value }
  'home-self-reported': null
  'home-best-of': { name: Value }
  'home-begin-with': { side: Value }
  'home-scores': null
  'print-session': null
  'print-week': { club: Value; from: Value; to: Value }
  'print-week-of': null
  'print-go': null
  'print-back': null
  'print-no-session': null
  'print-from': { start: Value; end: Value }
  'print-for-next-time': null
  'print-card': null
  'carried-yes': null
  'carried-not-yet': null
  'carried-cannot': null
  'outbox-waiting': { n: Value }
  'outbox-others': { n: Value }
  'outbox-refused': null
  'outbox-unkept': null
  'outbox-sign-in': { n: Value }
  'outbox-again': null
  'outbox-seen': null
  'session-stations-alone': null
  'session-stations-of': { stations: Value }
  'session-floor-spot': null
  'session-floor-line': { length: Value; paces: Value }
  'session-floor-area': { w: Value; d: Value; width: Value; depth: Value }
  'weeks-done': { n: Value }
  'weeks-short': { n: Value }
  'weeks-skipped': { n: Value }
  'sessions-blocks-moved': { n: Value }
  'sessions-blocks-harder': { n: Value }
  'sessions-blocks-easier': { n: Value }
  'sessions-less': null
  'sessions-less-everywhere': null
  'sessions-less-of': { came: Value; expected: Value; n: Value }
  'sessions-skills-short': { n: Value }
  'outbox-of-block': { day: Value; outcome: Value }
  'outbox-of-trial': { day: Value; test: Value; value: Value }
  'outbox-here': { day: Value }
  'outbox-missing': { day: Value }
  'outbox-says': { day: Value; says: Value }
  'outbox-takes-back': null
  'today-tests': null
  'today-look': null
  'today-look-back': { name: Value }
  'print-look': { n: Value; names: Value }
  'weeks-looks': { asked: Value }
  'upset-test-moves': { name: Value; day: Value }
  'upset-test-lost': { name: Value }
  'desk-part-title': null
  'desk-part-id': null
  'desk-part-purpose': null
  'desk-part-in_game': null
  'desk-part-points': null
  'desk-part-faults': null
  'desk-part-serves': null
  'desk-part-strands': null
  'desk-part-station': null
  'desk-part-doses': null
  'desk-part-rungs': null
  'desk-part-touches_per_s': null
  'desk-part-difficulty': null
  'desk-part-cautions': null
  'desk-part-home': null
  'desk-part-stand_ins': null
  'desk-part-cues': null
  'pace-mine': { pace: Value }
  'pace-title': null
  'pace-how': null
  'pace-metres': null
  'pace-one': { pace: Value }
  'pace-keep': null
  'pace-forget': null
  'settings-tempo-own_pace': null
  'settings-tempo-in_rhythm': null
  'settings-tempo-fast': null
  'settings-motion-on_the_spot': null
  'settings-motion-forward': null
  'settings-motion-both_directions': null
  'settings-eyes-free': null
  'settings-eyes-up': null
  'settings-eyes-call': null
  'settings-side-strong': null
  'settings-side-alternate': null
  'settings-side-other': null
  'foot-only-strong': null
  'foot-only-other': null
  'settings-surface-as_drilled': null
  'settings-surface-inside': null
  'settings-surface-sole': null
  'settings-surface-outside': null
  'settings-surface-laces': null
  'settings-surface-thigh': null
  'settings-surface-chest': null
  'settings-touches-free': null
  'settings-touches-two': null
  'settings-touches-one': null
  'settings-space-wide': null
  'settings-space-usual': null
  'settings-space-tight': null
  'settings-ball-age_size': null
  'settings-ball-one_smaller': null
  'settings-ball-tennis_ball': null
  'settings-service-own_toss': null
  'settings-service-rolled': null
  'settings-service-self_kicked': null
  'settings-service-thrown': null
  'settings-service-firm': null
  'settings-service-mixed_speeds': null
  'settings-service-high': null
  'settings-chain-single': null
  'settings-chain-two_joined': null
  'settings-chain-three_or_more': null
  'settings-pressure-none': null
  'settings-pressure-shadow': null
  'settings-pressure-passive': null
  'settings-pressure-live': null
  'settings-contest-none': null
  'settings-contest-own_score': null
  'settings-contest-partner': null
  'drills-search': null
  'drills-found': { n: Value }
  'drills-none': null
  'drills-nothing': null
  'questions-open': null
  'questions-title': { n: Value }
  'questions-about': null
  'questions-of-skill': null
  'questions-of-drill': null
  'questions-of-test': null
  'questions-of-curriculum': null
  'questions-asks-skill': null
  'questions-asks-drill': null
  'questions-asks-test': null
  'questions-asks-curriculum': null
  'drills-write': null
  'drills-back-to-all': null
  'drills-words': null
  'drills-words-hint': null
  'drills-strand': null
  'drills-stage': null
  'drills-skill': null
  'drills-any': null
  'drills-no-matter': null
  'drills-band': null
  'drills-minutes': null
  'drills-minutes-need-band': null
  'drills-at-station': null
  'drills-most-markers': null
  'drills-wide': null
  'drills-deep': null
  'drills-surface': null
  'drills-without': null
  'drills-where': null
  'drills-switches-home': null
  'drills-switches-plain': null
  'drills-switches-archived': null
  'voices': null
  'voices-used': { runs: Value; teams: Value }
  'voices-came-off': { came: Value; n: Value }
  'voices-answer': { n: Value }
  'voices-send': null
  'drills-voices': { unanswered: Value; n: Value }
  'drills-switches-unanswered': null
  'drills-switches-never_run': null
  'drills-switches-less': null
  'drills-more-wishes': null
  'drills-fewer-wishes': null
  'drills-everything': null
  'drills-keys': null
  'drills-players': { alike: Value; min: Value; max: Value }
  'drills-markers': { n: Value }
  'drills-home': { w: Value; d: Value }
  'drills-care': { n: Value }
  'drills-scale': null
  'desk-layout': null
  'desk-about': null
  'desk-place': { line: Value; column: Value }
  'desk-expected': { what: Value }
  'desk-more-faults': { n: Value }
  'desk-reads': null
  'desk-untitled': null
  'desk-new': null
  'desk-kept-here': null
  'desk-state': { version: Value; time: Value }
  'desk-is-away': null
  'desk-copy': null
  'desk-copy-of': { title: Value }
  'desk-put-away': null
  'desk-bring-back': null
  'desk-save': null
  'desk-as-far': null
  'desk-no-dose': null
  'desk-from-score': null
  'desk-assumption': null
  'desk-block-minutes': { n: Value }
  'desk-strip': { rest: Value; lay: Value; explain: Value; bouts: Value; work: Value }
  'desk-work-to-rest': { ratio: Value }
  'desk-levers': null
  'desk-ladder': null
  'desk-rung': null
  'desk-rung-at': { stage: Value; difficulty: Value }
  'desk-one-down': null
  'desk-one-up': null
  'desk-difficulty': { n: Value }
  'desk-success': null
  'desk-proposes': { lever: Value; setting: Value; difficulty: Value }
  'desk-stays': null
  'desk-do-so': null
  'desk-no-levers': null
  'desk-offer': null
  'desk-offered': null
  'desk-make-rung': null
  'desk-no-rung': null
  'desk-ground': null
  'desk-own-ground': null
  'desk-wide': null
  'desk-deep': null
  'desk-squad': null
  'desk-bag': null
  'desk-fits': { squad: Value; stations: Value; markers: Value; wide: Value; deep: Value; spare: Value }
  'desk-misfit': { says: Value }
  'desk-working': { share: Value; stations: Value }
  'desk-footprint': { w: Value; d: Value; width: Value; depth: Value }
  'desk-path': { turning: Value; kind: Value; length: Value; changes: Value }
  'desk-path-kind-dribble': null
  'desk-path-kind-run': null
  'desk-path-kind-pass': null
  'desk-path-kind-serve': null
  'desk-what': null
  'desk-title': null
  'desk-purpose': null
  'desk-in-game': null
  'desk-points': null
  'desk-points-hint': null
  'desk-doses': null
  'desk-band': null
  'desk-dose-kind': null
  'desk-not-done': null
  'desk-dose-kinds-timed': null
  'desk-dose-kinds-reps': null
  'desk-dose-kinds-laps': null
  'desk-dose-kinds-tries': null
  'desk-dose-kinds-streak': null
  'desk-dose-kinds-until_told': null
  'desk-dose-kinds-series': null
  'desk-dose-numbers-least_s': null
  'desk-dose-numbers-most_s': null
  'desk-dose-numbers-moves': null
  'desk-dose-numbers-rounds': null
  'desk-dose-numbers-break_s': null
  'desk-dose-numbers-challenge_s': null
  'desk-no-challenge': null
  'desk-series': null
  'desk-series-move': { n: Value }
  'desk-series-add': null
  'desk-series-up': null
  'desk-series-skill': null
  'desk-series-no-skill': null
  'desk-series-foot': null
  'desk-series-both': null
  'desk-series-says': null
  'desk-series-points': null
  'desk-series-challenge': null
  'desk-series-test': null
  'desk-series-own-best': null
  'desk-series-challenge-hint': null
  'desk-dose-numbers-work_s': null
  'desk-dose-numbers-rest_s': null
  'desk-dose-numbers-sets': null
  'desk-dose-numbers-reps': null
  'desk-dose-numbers-each_s': null
  'desk-dose-numbers-laps': null
  'desk-dose-numbers-directions': null
  'desk-dose-numbers-tries': null
  'desk-dose-numbers-target': null
  'desk-dose-numbers-cap_s': null
  'desk-dose-numbers-try_s': null
  'desk-as-path': null
  'desk-sides': null
  'desk-side-rules-together': null
  'desk-side-rules-each': null
  'desk-side-rules-alternate': null
  'desk-station': null
  'desk-station-of-min': null
  'desk-station-of-usual': null
  'desk-station-of-max': null
  'desk-station-of-working': null
  'desk-serves': null
  'desk-add-skill': null
  'desk-choose-skill': null
  'desk-share': { strand: Value }
  'desk-faults': null
  'desk-fault-see': null
  'desk-fault-why': null
  'desk-fault-say': null
  'desk-add-fault': null
  'desk-take-out': null
  'desk-hardness': null
  'desk-base': null
  'desk-cadence': { stage: Value }
  'desk-cadence-says': null
  'desk-cautions': null
  'desk-home-and-kit': null
  'desk-home': null
  'desk-home-only': null
  'desk-missing': null
  'desk-instead': null
  'desk-add-stand-in': null
  'desk-cues': null
  'desk-history': null
  'desk-in-editions': { names: Value }
  'desk-saved': { version: Value; by: Value; at: Value }
  'desk-came-with': null
  'desk-take-this': null
  'desk-before-saving': { n: Value }
  'cues-now': null
  'cues-ready': { n: Value }
  'cues-wait': null
  'cues-aloud': null
  'cues-silent': null
  'cues-add': null
  'cues-words': null
  'cues-gap': null
  'cues-back': null
  'cues-trial': null
  'cues-stop': null
  'cues-none': null
  'cues-sequence': null
  'desk-balls': { n: Value }
  'desk-goals': { n: Value }
  'desk-walls': { n: Value }
  'desk-players': { n: Value }
  'desk-servers': { n: Value }
  'desk-defenders': { n: Value }
  'desk-no-dose-in': { band: Value }
  'desk-in-part': { part: Value; detail: Value }
  'desk-in-nth': { part: Value; n: Value; detail: Value }
  'as-written-note': null
  'desk-translated': { said: Value }
  'loading': null
  'working-out': { of: Value; done: Value }
  'no-network': null
  'fallen': null
  'no-level': null
  'close': null
  'cancel': null
  'undo': null
  'retry': null
  'minutes': { n: Value }
  'floor-of': { title: Value }
  'legend-title': null
  'legend-strands': null
  'legend-stages': null
  'legend-levels': null
  'legend-states': null
  'legend-words': null
  'legend-keys': null
  'legend-open': null
  'legend-keys-page': null
  'legend-keys-sideways': null
  'legend-keys-lines': null
  'legend-keys-more': null
  'legend-keys-stage': null
  'legend-keys-block': null
  'legend-keys-move': null
  'legend-keys-open': null
  'legend-keys-solve': null
  'legend-keys-publish': null
  'legend-keys-undo': null
  'legend-keys-search': null
  'legend-keys-save': null
  'look-title': null
  'look-light': null
  'look-dark': null
  'look-pitch': null
  'language-title': null
  'language-en': null
  'language-de': null
  'sign-out': null
  'done': null
  'link-address': null
  'link-copy': null
  'link-copied': null
  'places-clubs': null
  'places-drills': null
  'places-progressions': null
  'places-plan': null
  'places-sessions': null
  'places-levels': null
  'places-standards': null
  'places-today': null
  'places-test': null
  'places-squad': null
  'places-weeks': null
  'new-version': null
  'glossary-band': null
  'glossary-band.means': null
  'glossary-strand': null
  'glossary-strand.means': null
  'glossary-skill': null
  'glossary-skill.means': null
  'glossary-stage': null
  'glossary-stage.means': null
  'glossary-need': null
  'glossary-need.means': null
  'glossary-gate': null
  'glossary-gate.means': null
  'glossary-drill': null
  'glossary-drill.means': null
  'glossary-dose': null
  'glossary-dose.means': null
  'glossary-lever': null
  'glossary-lever.means': null
  'glossary-rung': null
  'glossary-rung.means': null
  'glossary-exposure': null
  'glossary-exposure.means': null
  'glossary-term': null
  'glossary-term.means': null
  'glossary-outline': null
  'glossary-outline.means': null
  'glossary-curriculum': null
  'glossary-curriculum.means': null
  'glossary-plan': null
  'glossary-plan.means': null
  'glossary-block': null
  'glossary-block.means': null
  'glossary-stitch': null
  'glossary-stitch.means': null
  'glossary-score': null
  'glossary-score.means': null
  'glossary-clash': null
  'glossary-clash.means': null
  'glossary-edition': null
  'glossary-edition.means': null
  'glossary-session': null
  'glossary-session.means': null
  'glossary-test': null
  'glossary-test.means': null
  'glossary-standard': null
  'glossary-standard.means': null
  'glossary-level': null
  'glossary-level.means': null
  'glossary-typical_error': null
  'glossary-typical_error.means': null
  'glossary-smallest_real_change': null
  'glossary-smallest_real_change.means': null
  'glossary-agreement': null
  'glossary-agreement.means': null
  'glossary-milestone': null
  'glossary-milestone.means': null
  'glossary-assumption': null
  'glossary-assumption.means': null
  'sign-in-title': null
  'sign-in-about': null
  'sign-in-login': null
  'sign-in-password': null
  'sign-in-go': null
  'sign-in-samples': null
  'sign-in-director': null
  'sign-in-club_lead': null
  'sign-in-coach': { teams: Value }
  'join-welcome': { name: Value }
  'join-as': { of: Value; role: Value }
  'join-login': null
  'join-login-how': null
  'join-password-how': null
  'join-go': null
  'join-gone': null
  'join-ask-again': null
  'clubs-title': null
  'clubs-beside': null
  'clubs-add-club': null
  'clubs-new-club': null
  'clubs-new-team': { club: Value }
  'clubs-change': null
  'clubs-change-named': { club: Value }
  'clubs-led-by': { names: Value }
  'clubs-name': null
  'clubs-team-name': null
  'clubs-band': null
  'clubs-club': null
  'clubs-teams': null
  'clubs-coaches': null
  'clubs-no-coach': null
  'clubs-no-teams': null
  'clubs-players': { n: Value }
  'clubs-save': null
  'clubs-from-list': null
  'club-list-title': null
  'club-list-about': null
  'club-list-choose': null
  'club-list-paste': null
  'club-list-example': null
  'club-list-look': null
  'club-list-rows-of': null
  'club-list-line': null
  'club-list-written': null
  'club-list-becomes': null
  'club-list-new-club': null
  'club-list-new-team': null
  'club-list-invites': { names: Value }
  'club-list-there': null
  'club-list-ready': { faulty: Value; good: Value }
  'club-list-take': { n: Value }
  'club-list-taken': null
  'club-list-hand-out': null
  'club-list-nobody-new': null
  'club-list-to-clubs': null
  'club-list-card': { academy: Value; teams: Value }
  'club-list-until': { day: Value }
  'clubs-invite': null
  'clubs-people-or-invited': null
  'clubs-invited': null
  'clubs-nobody-invited': null
  'clubs-until': { day: Value }
  'clubs-withdraw': null
  'clubs-full-name': null
  'clubs-what-for': null
  'clubs-role-means-coach': null
  'clubs-role-means-club_lead': null
  'clubs-role-means-director': null
  'clubs-make-link': null
  'clubs-hand-on': { name: Value }
  'clubs-email': null
  'clubs-email-about': null
  'link-mailed': null
  'link-not-mailed': null
  'link-no-server': null
  'clubs-once': { day: Value }
  'clubs-my-teams': null
  'clubs-my-club': null
  'letters-title': null
  'letters-now': null
  'letters-by-server': null
  'letters-in-folder': null
  'letters-none': null
  'letters-left': { when: Value }
  'letters-waits': null
  'letters-failed': { why: Value }
  'letters-mine': null
  'letters-mine-about': null
  'letters-address': null
  'calendar-open': null
  'calendar-title': null
  'calendar-how': null
  'calendar-secret': null
  'calendar-since': { day: Value }
  'calendar-make': null
  'calendar-renew': null
  'calendar-end': null
  'begin-title': null
  'begin-about': null
  'begin-academy': null
  'begin-time-zone': null
  'begin-time-zone-note': null
  'begin-name': null
  'begin-name-note': null
  'begin-go': null
  'begin-gone': null
  'begin-gone-how': null
  'begin-left': { n: Value }
  'begin-steps': { n: Value }
  'begin-steps-about': null
  'begin-step-done': null
  'begin-look': null
  'begin-step-bands': null
  'begin-how-bands': null
  'begin-do-bands': null
  'begin-step-library': null
  'begin-how-library': null
  'begin-do-library': null
  'begin-step-teams': null
  'begin-how-teams': null
  'begin-do-teams': null
  'begin-step-coaches': null
  'begin-how-coaches': null
  'begin-do-coaches': null
  'begin-step-curriculum': null
  'begin-how-curriculum': null
  'begin-do-curriculum': null
  'begin-step-edition': null
  'begin-how-edition': null
  'begin-do-edition': null
  'begin-starter': null
  'begin-starter-about': null
  'begin-part-bands': { lacks: Value; pieces: Value }
  'begin-part-library': { lacks: Value; pieces: Value }
  'begin-part-standards': { lacks: Value; pieces: Value }
  'begin-part-templates': { lacks: Value; pieces: Value }
  'begin-take': null
  'begin-open': null
  'sign-in-code': null
  'sign-in-code-note': null
  'sign-out-title': null
  'sign-out-offline': null
  'sign-out-waiting': { n: Value }
  'sign-out-stay': null
  'password-title': null
  'password-for': { name: Value; login: Value }
  'password-go': null
  'password-gone': null
  'password-gone-how': null
  'password-done': null
  'password-to-sign-in': null
  'account-title': null
  'account-about': { name: Value; login: Value }
  'account-password': null
  'account-password-now': null
  'account-password-new': null
  'account-password-how': null
  'account-password-change': null
  'account-password-changed': null
  'account-devices': null
  'account-device-phone': null
  'account-device-computer': null
  'account-device-other': null
  'account-device-own': null
  'account-device-when': { since: Value; seen: Value }
  'account-device-end': null
  'account-devices-end': null
  'account-factor': null
  'account-factor-off': null
  'account-factor-on': null
  'account-factor-first': null
  'account-factor-begin': null
  'account-factor-stop': null
  'account-factor-password': null
  'account-factor-scan': null
  'account-factor-secret': null
  'account-factor-code': null
  'account-factor-turn-on': null
  'account-factor-recovery': null
  'account-factor-kept': null
  'account-leave': null
  'account-leave-team': null
  'account-leave-club': null
  'account-leave-sure': { what: Value }
  'account-leave-go': null
  'account-leave-nothing': null
  'account-waiting': null
  'account-waiting-about': { n: Value }
  'account-waiting-discard': null
  'account-waiting-sure': null
  'people-title': null
  'people-role': { role: Value; login: Value }
  'people-more': { name: Value }
  'people-link': null
  'people-link-title': { name: Value }
  'people-link-how': { name: Value; when: Value }
  'people-factor': null
  'people-factor-sure': { name: Value }
  'people-shut-out': null
  'people-shut-out-sure': { name: Value }
  'people-shut-out-list': null
  'people-let-in': null
  'people-leads': null
  'people-leads-none': null
  'people-end-lead': null
  'audit-title': null
  'audit-about': null
  'audit-who': null
  'audit-everybody': null
  'audit-what': null
  'audit-everything': null
  'audit-export': null
  'audit-more': null
  'audit-nothing': null
  'audit-at': null
  'audit-to': null
  'audit-by-itself': null
  'deed-academy_begun': null
  'deed-academy_named': null
  'deed-settings_changed': null
  'deed-band_changed': null
  'deed-starter_taken': null
  'deed-imported': null
  'deed-band_added': null
  'deed-clubs_listed': null
  'deed-coaches_changed': null
  'deed-invited': null
  'deed-invitation_withdrawn': null
  'deed-joined': null
  'deed-person_added': null
  'deed-signed_in': null
  'deed-sign_in_failed': null
  'deed-sign_ins_ended': null
  'deed-password_changed': null
  'deed-password_link_made': null
  'deed-password_link_used': null
  'deed-second_factor_on': null
  'deed-second_factor_off': null
  'deed-shut_out': null
  'deed-let_in_again': null
  'deed-left_club': null
  'deed-left_team': null
  'deed-milestone_set': null
  'deed-milestone_dropped': null
  'deed-word_against': null
  'deed-test_set': null
  'deed-test_dropped': null
  'deed-standard_set': null
  'deed-drill_archived': null
  'deed-drill_back': null
  'deed-published': null
  'deed-player_exported': null
  'deed-squad_exported': null
  'deed-results_exported': null
  'deed-player_corrected': null
  'deed-player_moved': null
  'deed-player_left': null
  'deed-player_back': null
  'deed-player_erased': null
  'deed-note_deleted': null
  'deed-season_changed': null
  'deed-season_change_taken_back': null
  'deed-other': null
  'keeping-title': null
  'keeping-idle': null
  'keeping-whole': null
  'keeping-directors': null
  'keeping-months': null
  'keeping-left': null
  'keeping-left-none': null
  'keeping-left-line': { name: Value; left: Value; erased: Value }
  'times-title': null
  'times-of': { club: Value }
  'times-about': null
  'times-to-clubs': null
  'times-week': null
  'times-none': null
  'times-sharing': null
  'times-places': null
  'times-places-none': null
  'times-place-size': { width: Value; depth: Value; teams: Value }
  'times-add-place': null
  'times-teams': null
  'times-drop-place': null
  'times-drop-place-says': { place: Value }
  'times-day': null
  'times-from': null
  'times-minutes': null
  'times-place': null
  'times-no-place': null
  'times-add-day': null
  'times-take-out': null
  'times-refitted': null
  'times-fitted': null
  'times-days-stay': null
  'when-said': { from: Value; to: Value }
  'when-beside': { teams: Value }
  'plan-choose': null
  'plan-solve': null
  'plan-solving': null
  'plan-publish': { n: Value }
  'plan-saved': { time: Value }
  'plan-saving': null
  'plan-draft': null
  'plan-published': { n: Value; day: Value }
  'plan-changed': null
  'plan-week': { n: Value }
  'plan-session': { n: Value; day: Value; minutes: Value }
  'plan-minutes-of': { n: Value; day: Value }
  'plan-minutes-there': null
  'plan-shares': null
  'plan-share-of': { strand: Value }
  'plan-laid': { percent: Value }
  'plan-sum': { n: Value }
  'plan-shares-wait': null
  'plan-missing': { n: Value }
  'plan-no-plan': null
  'plan-score': null
  'plan-score-means': null
  'plan-price': null
  'plan-part-S1': null
  'plan-part-S2': null
  'plan-part-S3': null
  'plan-part-S4': null
  'plan-part-S5': null
  'plan-part-S6': null
  'plan-part-S7': null
  'plan-part-S8': null
  'plan-part-S9': null
  'plan-part-S10': null
  'plan-part-S11': null
  'plan-part-S12': null
  'plan-part-S13': null
  'plan-part-S14': null
  'plan-part-S15': null
  'plan-part-S16': null
  'plan-part-S17': null
  'plan-part-means-S1': { points: Value; than: Value }
  'plan-part-means-S2': { points: Value }
  'plan-part-means-S3': { points: Value; than: Value }
  'plan-part-means-S4': { points: Value; than: Value }
  'plan-part-means-S5': { points: Value }
  'plan-part-means-S6': { points: Value; than: Value }
  'plan-part-means-S7': { points: Value }
  'plan-part-means-S8': { points: Value }
  'plan-part-means-S9': { points: Value }
  'plan-part-means-S10': { points: Value }
  'plan-part-means-S11': { points: Value; than: Value }
  'plan-part-means-S12': { points: Value }
  'plan-part-means-S13': { points: Value }
  'plan-part-means-S14': { points: Value; than: Value; wished: Value }
  'plan-part-means-S15': { points: Value; than: Value }
  'plan-part-means-S16': { points: Value }
  'plan-part-means-S17': { points: Value }
  'plan-part-weight': { weight: Value }
  'plan-nothing': null
  'plan-clash': null
  'plan-forbids': null
  'plan-relax': null
  'plan-did-what-it-could': null
  'plan-mend': { says: Value; points: Value }
  'plan-more-breaches': { n: Value }
  'plan-breaches': { n: Value }
  'plan-in-session': { n: Value }
  'plan-stands-running': null
  'plan-stands-coming': null
  'plan-stands-over': null
  'plan-empty': null
  'plan-make-first': null
  'plan-make-new': null
  'plan-undoes': { what: Value }
  'plan-look-longer': null
  'plan-stop': null
  'plan-offer': null
  'plan-offer-moves': { moved: Value; blocks: Value }
  'plan-offer-take': null
  'plan-offer-leave': null
  'plan-week-short': { n: Value }
  'plan-panels': null
  'plan-panel-session': null
  'plan-panel-wishes': null
  'plan-panel-compare': null
  'plan-panel-feet': null
  'plan-feet-about': null
  'plan-feet-of': { surface: Value; strong: Value; other: Value }
  'plan-panel-forecast': null
  'plan-stitch': { stage: Value; nth: Value; of: Value; minutes: Value; tenths: Value }
  'plan-test-in': { name: Value; minutes: Value }
  'plan-locked': null
  'plan-beside-it': { what: Value }
  'plan-why': null
  'plan-why-late': { skill: Value }
  'plan-without': { price: Value }
  'plan-add-here': { skill: Value }
  'plan-block-longer': null
  'plan-block-shorter': null
  'plan-block-up': null
  'plan-block-down': null
  'plan-block-earlier': null
  'plan-block-later': null
  'plan-block-lock': null
  'plan-block-unlock': null
  'plan-block-remove': null
  'plan-block-instead': null
  'plan-block-as-it-is': null
  'plan-block-beside': null
  'plan-block-together': null
  'plan-approach-repetition_first': null
  'plan-approach-balanced': null
  'plan-approach-decision_first': null
  'plan-approach-means-repetition_first': null
  'plan-approach-means-balanced': null
  'plan-approach-means-decision_first': null
  'plan-side-equal': null
  'plan-side-other_more': null
  'plan-side-strong_first': null
  'plan-side-not_sided': null
  'plan-wishes-about': null
  'plan-wishes-approach': null
  'plan-wishes-times': { stage: Value }
  'plan-wishes-open-play-first': null
  'plan-wishes-open-play-last': null
  'plan-wishes-ladder': null
  'plan-ladder-strict': null
  'plan-ladder-overlapping': null
  'plan-ladder-open': null
  'plan-wishes-success-least': null
  'plan-wishes-success-most': null
  'plan-mastery': null
  'plan-mastery-of': { skill: Value }
  'plan-mastery-none': null
  'plan-mastery-share': { share: Value }
  'plan-mastery-word': null
  'plan-weekly': null
  'plan-weekly-about': null
  'plan-weekly-what': null
  'plan-weekly-none': null
  'plan-weekly-least': null
  'plan-weekly-most': null
  'plan-weekly-drop': null
  'plan-themes': null
  'plan-themes-about': null
  'plan-theme-proposed': { theme: Value }
  'plan-theme-none': null
  'plan-theme-and': null
  'plan-theme-no-more': null
  'plan-theme-title': { theme: Value; skills: Value }
  'plan-theme-of': { theme: Value; share: Value }
  'plan-weights': null
  'plan-weights-about': null
  'plan-weight-of': { part: Value }
  'plan-weights-plain': null
  'plan-wishes-assumptions': null
  'plan-wishes-side': null
  'plan-wishes-side-own': null
  'plan-wishes-goals': null
  'plan-line-other-foot': null
  'plan-other-foot': { name: Value }
  'plan-wishes-other-foot': null
  'plan-wishes-other-foot-waits': null
  'plan-wishes-not-parted': null
  'plan-wishes-present': null
  'plan-wishes-not-met': null
  'plan-wishes-goal': null
  'plan-wishes-take-out': { what: Value }
  'plan-wishes-from-squads': null
  'plan-wishes-from-nobody': null
  'plan-wishes-all-squads': null
  'plan-wishes-stands': { skill: Value; before: Value; now: Value }
  'plan-wishes-stands-alike': null
  'plan-wishes-take-stands': { n: Value }
  'plan-wishes-add-goal': null
  'plan-wishes-choose-skill': null
  'plan-wishes-when': null
  'plan-wishes-start': null
  'plan-wishes-weeks': null
  'plan-wishes-weekdays': null
  'plan-wishes-holidays': null
  'plan-wishes-day-off': null
  'plan-wishes-last-shown': { day: Value }
  'plan-wishes-before-planned': null
  'plan-wishes-before-forecast': null
  'plan-making-before-about': null
  'plan-making-terms': null
  'plan-making-term': { term: Value; season: Value; first: Value }
  'plan-wishes-save-season': null
  'plan-wishes-season-moves': null
  'plan-wishes-tests': null
  'plan-wishes-min': null
  'plan-wishes-test-session': null
  'plan-wishes-add-test': null
  'plan-wishes-choose-test': null
  'plan-wishes-where': null
  'plan-wishes-name': null
  'plan-wishes-ground-width_m': null
  'plan-wishes-ground-depth_m': null
  'plan-wishes-ground-margin_m': null
  'plan-wishes-ground-run_off_m': null
  'plan-wishes-ground-squad': null
  'plan-wishes-ground-markers': null
  'plan-wishes-ground-adults': null
  'plan-wishes-ground-wall': null
  'plan-wishes-files': null
  'plan-wishes-file-problem': null
  'plan-wishes-file-plan': null
  'plan-wishes-replan': null
  'plan-wishes-replan-means': null
  'plan-compared-about': { name: Value }
  'plan-compared-draft': null
  'plan-compared-edition': { number: Value }
  'plan-compared-shared': { shared: Value; blocks: Value }
  'plan-compared-with': null
  'plan-compared-own-numbers': null
  'plan-compared-minutes-at': { stage: Value }
  'plan-compared-meets': null
  'plan-compared-meets-means': null
  'plan-compared-never': null
  'plan-compared-take': { name: Value }
  'plan-forecast-sum': { share: Value; low: Value; high: Value }
  'plan-forecast-about': { players: Value; squad: Value }
  'plan-forecast-came-off': { came: Value; expected: Value; n: Value; theta: Value; least: Value; most: Value }
  'plan-forecast-dots': { squads: Value; goals: Value; of: Value }
  'plan-forecast-no-dots': null
  'plan-forecast-dot': { week: Value; share: Value; foreseen: Value }
  'plan-forecast-now': { had: Value; of: Value; foreseen: Value }
  'plan-forecast-rate-seen': { rate: Value; steps: Value; exposures: Value }
  'plan-forecast-seen': { skills: Value }
  'plan-forecast-take': null
  'plan-forecast-taken': null
  'plan-forecast-chart': null
  'plan-forecast-skill': null
  'plan-forecast-end': null
  'plan-forecast-rate': null
  'plan-forecast-rate-of': { skill: Value }
  'plan-forecast-assumes': null
  'plan-forecast-rate-all': null
  'plan-forecast-present': null
  'plan-forecast-coming': { share: Value; n: Value }
  'plan-forecast-take-coming': null
  'plan-forecast-spread': null
  'plan-forecast-means': null
  'plan-making-title': null
  'plan-making-steps-whom': null
  'plan-making-steps-what': null
  'plan-making-steps-when': null
  'plan-making-steps-how': null
  'plan-making-band': { minutes: Value; n: Value }
  'plan-making-nothing': null
  'plan-making-template': { name: Value }
  'plan-making-again': { name: Value }
  'plan-making-skills': { band: Value }
  'plan-making-contains': { start: Value; weeks: Value; days: Value; goals: Value }
  'plan-making-minutes': null
  'plan-making-name': null
  'plan-making-approach-there': null
  'plan-making-approach-there-means': null
  'plan-making-ground': null
  'plan-making-own-ground': null
  'plan-making-largest-ground': null
  'plan-making-no-ground': null
  'plan-making-present': null
  'plan-making-as-written': null
  'plan-making-not-met': null
  'plan-making-of-band': { band: Value }
  'plan-making-of-team': { team: Value }
  'plan-making-present-about': null
  'plan-making-back': null
  'plan-making-next': null
  'plan-making-create': null
  'plan-making-laying': null
  'plan-changes-title': { n: Value }
  'plan-publish-title': { n: Value; name: Value }
  'plan-publish-says': null
  'plan-note': null
  'plan-publish-go': null
  'plan-tour-lines': null
  'plan-tour-change': null
  'plan-tour-session': null
  'plan-tour-next': null
  'plan-tour-done': null
  'plan-testing': null
  'plan-testing-before': null
  'plan-testing-on_the_way': null
  'plan-testing-at_the_end': null
  'plan-testing-most_in_session': null
  'plan-testing-most_in_all': null
  'plan-testing-means': { n: Value; minutes: Value }
  'plan-test-laid': null
  'plan-test-pinned': null
  'plan-test-pin': null
  'plan-density': null
  'plan-density-fit': null
  'plan-density-close': null
  'plan-delivered': { share: Value }
  'plan-looks': null
  'plan-look-weeks': null
  'plan-look-benchmarks': null
  'benchmarks-title': null
  'benchmarks-head': { shown: Value; of: Value; week: Value }
  'benchmarks-can-be-shown': { week: Value }
  'benchmarks-goal': null
  'benchmarks-shown-by': null
  'benchmarks-practised': null
  'benchmarks-so-far': null
  'benchmarks-foreseen': null
  'benchmarks-can': null
  'benchmarks-yes': null
  'benchmarks-not-yet': null
  'benchmarks-none': { stage: Value }
  'benchmarks-behind': null
  'benchmarks-taken': { test: Value; when: Value }
  'benchmarks-not-taken': { test: Value }
  'benchmarks-looked-for': { n: Value; day: Value }
  'benchmarks-not-seen': null
  'benchmarks-looks': { asked: Value; n: Value }
  'benchmarks-looks-all': null
  'benchmarks-looks-missing': { missing: Value }
  'benchmarks-looks-short': { missing: Value }
  'benchmarks-no-standard-here': null
  'benchmarks-no-findings': null
  'benchmarks-findings': { n: Value }
  'benchmarks-mend-milestone': null
  'benchmarks-mend-points': null
  'benchmarks-mend-schedule': { when: Value }
  'benchmarks-mend-move': { when: Value }
  'benchmarks-mend-standard': null
  'benchmarks-mend-from-results': null
  'benchmarks-mend-goal': null
  'benchmarks-proposed-title': { skill: Value; stage: Value }
  'benchmarks-propose-form': { skill: Value }
  'benchmarks-propose-flow': { skill: Value }
  'benchmarks-propose-scan': { skill: Value }
  'benchmarks-propose-contest': { skill: Value }
  'benchmarks-new-points': null
  'benchmarks-points-of': { test: Value }
  'benchmarks-point': { n: Value }
  'benchmarks-test-name': { skill: Value }
  'benchmarks-test-how': null
  'plan-forecast-can-be-shown': null
  'plan-forecast-not-shown': null
  'book-title': null
  'book-open': null
  'book-open-band': null
  'book-parts': null
  'book-part-approach': null
  'book-part-year': null
  'book-part-weeks': null
  'book-part-skills': null
  'book-part-tests': null
  'book-part-kit': null
  'book-part-parents': null
  'book-paper': null
  'book-none': null
  'book-span': { band: Value; first: Value; last: Value }
  'book-draft': null
  'book-contents': null
  'book-contents-of': { name: Value }
  'book-approach': null
  'book-stages': null
  'book-stage': { stage: Value; means: Value; n: Value }
  'book-ladder-strict': null
  'book-ladder-overlapping': null
  'book-ladder-open': null
  'book-open-play': { first: Value; last: Value }
  'book-success': { least: Value; most: Value }
  'book-shares': null
  'book-year': null
  'book-column-week': null
  'book-column-sessions': null
  'book-column-theme': null
  'book-column-tests': null
  'book-day': { day: Value; minutes: Value }
  'book-week-theme': { n: Value; theme: Value }
  'book-session': { day: Value; n: Value; minutes: Value }
  'book-skills': null
  'book-from-to': { from: Value; to: Value }
  'book-new-to': { to: Value }
  'book-measured': { test: Value; reach: Value; feet: Value; times: Value; of: Value }
  'book-seen': { test: Value; days: Value }
  'book-tests': null
  'book-level-from': { level: Value; value: Value }
  'book-level-to': { level: Value; value: Value }
  'book-taken': { days: Value }
  'book-kit': null
  'book-kit-about': null
  'book-parents-title': { name: Value }
  'book-parents-about': { first: Value; last: Value; sessions: Value }
  'book-parents-home': null
  'progressions-title': null
  'progressions-count': { skills: Value; findings: Value }
  'progressions-inspector': null
  'progressions-choose': null
  'progressions-plate': { name: Value; band: Value; strand: Value }
  'progressions-since': null
  'progressions-no-since': null
  'progressions-beginning': null
  'progressions-same': null
  'progressions-larger': null
  'progressions-smaller': null
  'progressions-name': null
  'progressions-side': null
  'progressions-sides-equal': null
  'progressions-sides-other_more': null
  'progressions-sides-strong_first': null
  'progressions-sides-not_sided': null
  'progressions-rests': { n: Value }
  'progressions-opens': { n: Value }
  'progressions-stage-of': { name: Value }
  'progressions-drop': { name: Value }
  'progressions-part': null
  'progressions-helps': null
  'progressions-at': { stage: Value }
  'progressions-connect': null
  'progressions-gate': null
  'progressions-gate-kind': null
  'progressions-no-gate': null
  'progressions-milestone': null
  'progressions-test': null
  'progressions-value': null
  'progressions-times': null
  'progressions-of-last': null
  'progressions-set-gate': null
  'progressions-way': null
  'progressions-squad': null
  'progressions-there': null
  'progressions-cost': { exposures: Value; sessions: Value; weeks: Value }
  'progressions-drills': { n: Value }
  'progressions-reshape': null
  'progressions-join': null
  'progressions-split': null
  'progressions-split-hint': null
  'progressions-split-now': { n: Value }
  'progressions-mend-drop_need': null
  'progressions-mend-move_band': null
  'progressions-mend-drop_gate': null
  'bands-title': null
  'bands-add': null
  'bands-add-go': null
  'bands-add-about': null
  'bands-about': null
  'bands-save': null
  'bands-ages': null
  'bands-ages-note': null
  'bands-youngest': null
  'bands-oldest': null
  'bands-of': { row: Value; band: Value }
  'bands-rows-ball_size': null
  'bands-rows-session_min': null
  'bands-rows-new_skills_per_week': null
  'bands-rows-longest_bout_s': null
  'bands-rows-longest_block_min': null
  'bands-rows-explaining_s': null
  'bands-units-ball_size': null
  'bands-units-session_min': null
  'bands-units-new_skills_per_week': null
  'bands-units-longest_bout_s': null
  'bands-units-longest_block_min': null
  'bands-units-explaining_s': null
  'bands-tempos': null
  'bands-tempos-note': null
  'bands-tempos-shown': { test: Value; seconds: Value; n: Value }
  'bands-tempos-take': { seconds: Value }
  'bands-tempos-source': { test: Value; n: Value }
  'bands-speeds': null
  'bands-speeds-note': null
  'bands-assumption': null
  'bands-source': null
  'bands-source-of': { said: Value; name: Value; band: Value }
  'bands-academy': null
  'bands-save-name': null
  'bands-save-academy': null
  'bands-cut-off': null
  'bands-cut-off-note': null
  'bands-language': null
  'bands-language-note': null
  'bands-heading': null
  'bands-heading-off': null
  'bands-heading-on': { age: Value }
  'bands-from-age': null
  'bands-per-week': null
  'bands-rule-text': null
  'bands-heading-enter': null
  'bands-heading-stop': null
  'bands-points': null
  'bands-points-note': null
  'bands-points-of': { lever: Value; setting: Value }
  'score-title': null
  'score-text': null
  'score-strip': null
  'score-eyes-up': null
  'score-feet-of': { title: Value }
  'score-play': null
  'score-stop': null
  'score-back': null
  'score-next': null
  'score-mirror': null
  'score-settings': null
  'score-sound': null
  'score-sound-off': null
  'score-sound-clicks': null
  'score-sound-aloud': null
  'score-tempo-own_pace': null
  'score-tempo-in_rhythm': null
  'score-tempo-fast': null
  'score-reads': null
  'score-write': null
  'score-change': null
  'score-none': null
  'score-propose': null
  'score-keep': null
  'score-remove': null
  'score-as-far': null
  'score-per-round': { n: Value }
  'score-seconds': { seconds: Value }
  'score-rounds': { n: Value }
  'score-feet': { right: Value; left: Value }
  'score-body': { n: Value }
  'score-hops': { n: Value }
  'score-closing-closes': null
  'score-closing-closes_mirrored': null
  'score-closing-travels': null
  'score-closing-opens': null
  'score-kin': { shared: Value; of: Value }
  'score-kin-alike': null
  'score-help': null
  'score-of-skill': null
  'score-own': null
  'desk-own-chain': null
  'desk-own-chain-none': null
  'desk-own-chain-of': { n: Value }
  'chains-title': null
  'chains-another': null
  'chains-own': null
  'picture': null
  'picture-ground': null
  'picture-feet': null
  'places-year': null
  'year-title': { name: Value }
  'year-sheet': null
  'year-panel': null
  'year-part': null
  'year-whole': null
  'year-season': null
  'year-edit-season': null
  'year-add-season': null
  'year-drop-season': null
  'year-season-about': null
  'year-terms': null
  'year-term': null
  'year-add-term': null
  'year-drop-term': { term: Value }
  'year-first': null
  'year-last': null
  'year-autumn': null
  'year-winter': null
  'year-spring': null
  'year-empty': null
  'year-unread': { name: Value }
  'year-today': { day: Value }
  'year-off': { name: Value; first: Value; last: Value }
  'year-found': { n: Value }
  'year-open-band': { band: Value }
  'year-close-band': { band: Value }
  'year-made-outline': null
  'year-made-draft': null
  'year-made-published': null
  'year-strip': { name: Value; made: Value; first: Value; last: Value; sessions: Value; shown: Value; of: Value }
  'year-path': { skill: Value; weeks: Value; met: Value; reached: Value }
  'year-key': null
  'year-bands': null
  'year-about': null
  'year-look': null
  'year-all-bands': null
  'year-nothing-planned': null
  'year-band-line': { sessions: Value; hours: Value; found: Value }
  'year-a-child-gets': { sessions: Value; hours: Value; touches: Value; other: Value }
  'year-shares': null
  'year-share-of': { share: Value; wished: Value }
  'year-surfaces': { all: Value }
  'year-surface': { surface: Value; touches: Value }
  'year-curriculum': { name: Value; sessions: Value; shown: Value; of: Value; drills: Value }
  'year-beside': { name: Value }
  'year-findings': null
  'year-nothing-found': null
  'year-to-plan': null
  'year-to-map': null
  'year-more': { n: Value }
  'year-outlines': null
  'year-outlines-about': null
  'year-add-outline': null
  'year-outline-name': null
  'year-outline-skill': null
  'year-outline-choose': null
  'year-drop-outline': null
  'year-lay': null
  'year-lay-about': { drafts: Value }
  'year-believed': null
  'year-believed-planned': null
  'year-believed-forecast': null
  'year-lay-go': null
  'year-laying': { done: Value; of: Value }
  'year-laid': { name: Value; moved: Value; before: Value; after: Value }
  'year-not-laid': { name: Value }
  'year-laid-undo': null
  'off-title': null
  'off-about': null
  'off-academy': null
  'off-span': { first: Value; last: Value }
  'off-add': null
  'off-save': null
  'off-whose': null
  'off-name': null
  'off-example': null
  'off-drop-named': { name: Value }
  'off-cancelled': { n: Value; days: Value }
  'off-held': { n: Value; days: Value }
  'off-session': { name: Value }
  'new-season-title': { name: Value }
  'new-season-open': null
  'new-season-to-year': null
  'new-season-about': null
  'new-season-panel': null
  'new-season-ages-on': null
  'new-season-most': null
  'new-season-said': { n: Value }
  'new-season-said-drop': null
  'new-season-nothing': null
  'new-season-of-club': { n: Value }
  'new-season-size': { before: Value; after: Value }
  'new-season-size-new': { after: Value }
  'new-season-age': { age: Value }
  'new-season-goes': { name: Value }
  'new-season-as-proposed': null
  'new-season-stays-in': { team: Value }
  'new-season-leaves': null
  'new-season-outcome': null
  'new-season-sum': { moved: Value; leaving: Value; added: Value }
  'new-season-stops': null
  'new-season-go': null
  'new-season-sure': { says: Value }
  'new-season-made': null
  'new-season-made-line': { day: Value; by: Value; moved: Value; left: Value }
  'new-season-is-back': null
  'new-season-stays': null
  'new-season-take-back': null
  'new-season-back-done': { elsewhere: Value }
  'benchmarks-no-milestone': { skill: Value; stage: Value }
  'benchmarks-not-reached': { milestone: Value; skill: Value; stage: Value }
  'benchmarks-no-session': { milestone: Value; test: Value }
  'benchmarks-no-look': { milestone: Value; asks: Value; days: Value }
  'benchmarks-few-dates': { milestone: Value; test: Value; asks: Value; dates: Value }
  'benchmarks-too-early': { milestone: Value; test: Value; session: Value; skill: Value; stage: Value }
  'benchmarks-no-standard': { milestone: Value; test: Value }
  'benchmarks-taken-alone': { milestone: Value; stage: Value }
  'benchmarks-untaught': { milestone: Value; skill: Value }
  'layout-fault': { line: Value; column: Value; expected: Value }
  'layout-fault-mendable': { line: Value; column: Value; expected: Value; mend: Value }
  'layout-expected-statement': null
  'layout-expected-word': { word: Value }
  'layout-expected-closing': null
  'layout-expected-opening': null
  'layout-expected-times': { most: Value }
  'layout-expected-markers': { most: Value }
  'layout-expected-unit': null
  'layout-expected-turn': null
  'layout-expected-degrees': null
  'layout-expected-degrees-at-most': { most: Value }
  'layout-expected-path-kind': null
  'layout-expected-second-point': null
  'layout-expected-length': null
  'layout-expected-length-between': { least: Value; most: Value }
  'layout-expected-name': null
  'layout-expected-free-name': null
  'layout-expected-point-name': null
  'layout-expected-marker-name': null
  'layout-expected-line-name': null
  'layout-expected-name-for-line': null
  'layout-expected-colour': null
  'layout-expected-colours': null
  'layout-expected-point-to-face': null
  'layout-expected-end': null
  'layout-expected-bytes-at-most': { most: Value }
  'layout-expected-statements-at-most': { most: Value }
  'layout-expected-unrolled-at-most': { most: Value }
  'layout-expected-repeats-at-most': { most: Value }
  'layout-expected-markers-at-most': { most: Value }
  'layout-expected-stops-at-most': { most: Value }
  'layout-expected-within': { most: Value }
  'layout-mend-did-you-mean': { word: Value }
  'layout-mend-one-of': { known: Value }
  'layout-mend-split-text': { bytes: Value }
  'layout-mend-split-drill': null
  'layout-mend-close': null
  'layout-mend-write-out': null
  'layout-mend-closes-nothing': null
  'layout-mend-write-repeat': null
  'layout-mend-repeat-less': null
  'layout-mend-repeat-or-weave-less': null
  'layout-mend-colour-order': null
  'layout-mend-new-statement': { written: Value }
  'layout-mend-this-length': { metres: Value }
  'layout-mend-leads-to': { right: Value; ahead: Value }
  'layout-mend-turn-instead': { name: Value }
  'layout-mend-name-line': null
  'layout-mend-name-taken': { line: Value; name: Value }
  'layout-mend-no-marker-there': { name: Value }
  'layout-mend-lay-line': null
  'layout-mend-lines-known': { known: Value }
  'layout-mend-line-not-point': { name: Value; count: Value }
  'layout-mend-nothing-called': { name: Value }
  'misfit-ground': { possible: Value; squad: Value; needed: Value }
  'misfit-kit': { squad: Value; needed: Value; markers: Value }
  'misfit-wall': null
  'misfit-home-only': null
  'misfit-squad': { squad: Value; least: Value; most: Value }
  'would-fit-margin': { metres: Value }
  'would-fit-groups': { players: Value }
  'would-fit-tighter': { width: Value; depth: Value }
  'would-fit-fewer': { players: Value; others: Value }
  'drill-no-skill': null
  'drill-no-stage': null
  'drill-stage-without-rung': { stage: Value }
  'drill-station': { least: Value; most: Value; usual: Value; largest: Value }
  'series-no-dose': null
  'series-no-series': null
  'series-moves': { moves: Value; of: Value }
  'series-no-name': null
  'series-not-served': { skill: Value }
  'series-not-a-move': { skill: Value; moves: Value }
  'series-no-challenge': null
  'drill-no-dose': null
  'drill-no-seconds': null
  'drill-long-bout': { seconds: Value; band: Value; most: Value }
  'drill-same-rung': null
  'drill-not-offered': { lever: Value }
  'drill-surface-not-played': { surface: Value }
  'drill-no-touches': { stage: Value }
  'drill-touches-out': { most: Value }
  'blocked-no-heading-rule': null
  'blocked-too-young': { from_age: Value; youngest: Value }
  'caution-aerial': null
  'caution-heading': null
  'caution-ball_underfoot': null
  'caution-contact': null
  'caution-hard_floor': null
  'caution-jumping': null
  'caution-reaction_crowding': null
  'caution-throw_in_service': null
  'quoted-name': { name: Value }
  'quoted-at': { name: Value; stage: Value }
  'quoted-rung': { name: Value; stage: Value; rung: Value }
  'quoted-foot': { foot: Value; rung: Value; name: Value; stage: Value }
  'quoted-other-foot': { name: Value }
  'quoted-date': { day: Value; month: Value }
  'as-written': { text: Value }
  'what-name': null
  'what-short-name': null
  'what-login': null
  'what-title': null
  'what-purpose': null
  'what-in-game': null
  'what-point': null
  'what-kit': null
  'what-stand-in': null
  'what-move': null
  'what-challenge': null
  'what-fault-seen': null
  'what-fault-why': null
  'what-fault-said': null
  'what-reason': null
  'what-note': null
  'what-sentence': null
  'what-word': null
  'what-source': null
  'what-rule': null
  'what-instruction': null
  'what-strong-foot': null
  'what-foot': null
  'what-phrase': null
  'what-club': null
  'what-team': null
  'what-coach': null
  'text-empty': { what: Value }
  'text-long': { what: Value; long: Value; most: Value }
  'text-control': { what: Value }
  'name-empty': null
  'name-letters': { name: Value }
  'range-between': { value: Value; least: Value; most: Value }
  'range-minutes': { value: Value; least: Value; most: Value }
  'range-seconds': { value: Value; least: Value; most: Value }
  'range-metres': { value: Value; least: Value; most: Value }
  'range-speed': { value: Value; least: Value; most: Value }
  'range-years': { value: Value; least: Value; most: Value }
  'range-count': { count: Value; least: Value; most: Value }
  'range-most': { count: Value; most: Value }
  'range-shares': { percent: Value }
  'range-share': { value: Value }
  'range-percent': { percent: Value }
  'listed-twice': { id: Value }
  'listed-none': null
  'unknown-band': { id: Value }
  'unknown-skill': { id: Value }
  'unknown-test': { id: Value }
  'unknown-milestone': { id: Value }
  'unknown-drill': { id: Value }
  'sheet-large': { bytes: Value; most: Value }
  'sheet-encoding': { line: Value }
  'sheet-lines': { most: Value }
  'sheet-columns': { line: Value }
  'roster-sheet': { fault: Value }
  'roster-column': { column: Value }
  'roster-rows': { most: Value }
  'roster-empty': null
  'club-list-sheet': { fault: Value }
  'club-list-column': { column: Value }
  'club-list-rows': { most: Value }
  'club-list-empty': null
  'club-row-no-band': { written: Value; known: Value }
  'club-row-other-band': { line: Value }
  'club-row-coaches': { most: Value }
  'club-row-no-address': { written: Value }
  'club-row-has-band': { band: Value }
  'row-no-month': { written: Value }
  'row-no-such-month': { month: Value }
  'row-not-born': { month: Value }
  'row-too-young': { month: Value; youngest: Value }
  'row-too-old': { month: Value; oldest: Value }
  'row-foot-missing': { what: Value }
  'row-no-foot': { what: Value; written: Value }
  'row-same-name': { line: Value }
  'row-in-squad': null
  'row-out-of-ages': { age: Value; date: Value; band: Value; youngest: Value; oldest: Value }
  'line-no-column': { column: Value }
  'line-already': null
  'line-foot-missing': { test: Value }
  'line-foot-too-much': { test: Value }
  'line-no-player': { name: Value }
  'line-is-it': { name: Value; one: Value }
  'line-one-of-two': { name: Value; one: Value; other: Value }
  'line-no-test': { name: Value; known: Value }
  'line-no-day': { written: Value }
  'line-day-to-come': { written: Value }
  'line-long-ago': { written: Value }
  'line-no-marks': { written: Value }
  'line-no-number': { written: Value }
  'band-no-such-number': { known: Value }
  'band-tempos-out-of-order': null
  'band-no-day-of-the-year': { written: Value }
  'lever-points-missing': { setting: Value; most: Value }
  'gates-no-such-fault': { name: Value }
  'pair-stranger': null
  'pair-one-player': null
  'pair-twice': null
  'pair-contrary': null
  'curriculum-no-session': { session: Value }
  'team-days-are-fixed': null
  'slot-no-time': { written: Value }
  'slot-after-midnight': { minutes: Value; from: Value }
  'slot-twice': { weekday: Value }
  'slot-no-place': null
  'days-end-before': { last: Value; first: Value }
  'days-too-long': { most: Value }
  'term-outside': { term: Value; first: Value; last: Value }
  'terms-meet': { term: Value; before: Value }
  'term-twice': { term: Value }
  'place-shared': { teams: Value; place: Value; weekday: Value; from: Value; to: Value; width: Value; depth: Value }
  'place-too-many': { teams: Value; place: Value; weekday: Value; from: Value; to: Value; most: Value }
  'weekday': { weekday: Value }
  'library-skill-not-dosed': { skill: Value; band: Value }
  'library-no-ball': null
  'library-home-too-small': { width: Value; depth: Value; needs_width: Value; needs_depth: Value }
  'library-home-for-more': { people: Value }
  'library-too-few': { people: Value; least: Value }
  'library-rung-serves-nothing': { stage: Value }
  'library-caution-missing': { caution: Value }
  'library-caution-without': { caution: Value }
  'library-never-planned': { band: Value }
  'library-never-begun': { band: Value }
  'library-long-point': { point: Value; words: Value; most: Value }
  'library-alike': { text: Value; other: Value }
  'library-says-other': { says: Value; has: Value; says_number: Value }
  'library-other-points': { drill: Value; point: Value }
  'library-not-asked': { test: Value }
  'library-too-quick': { level: Value; band: Value; speed: Value; most: Value }
  'library-other-skill': { test: Value; shows: Value; skill: Value }
  'library-goal-not-shown': { curriculum: Value; stage: Value; band: Value; skill: Value }
  'broken-sessions': { laid: Value; wanted: Value }
  'broken-no-variant': { id: Value }
  'broken-length': { title: Value; least: Value; most: Value; minutes: Value; better: Value }
  'broken-time': { used: Value; minutes: Value; over: Value }
  'broken-time-with-tests': { used: Value; minutes: Value; over: Value }
  'broken-fit': { title: Value; why: Value }
  'broken-half': { title: Value }
  'broken-beside': { title: Value; beside: Value }
  'broken-barred': { title: Value; why: Value }
  'broken-bout': { title: Value; seconds: Value; most: Value }
  'broken-long-block': { minutes: Value; most: Value }
  'broken-aerial': { minutes: Value; most: Value; over: Value }
  'broken-headers': { count: Value; week: Value; most: Value }
  'broken-cold-start': { title: Value }
  'broken-new-late': { skill: Value }
  'broken-after-contest': { skill: Value }
  'broken-hard-twice': { title: Value }
  'broken-twice': { title: Value }
  'broken-one-drill': { title: Value; minutes: Value; most: Value }
  'broken-lock-gone': { title: Value; minutes: Value }
  'broken-test-early': { test: Value; skill: Value }
  'broken-ladder': { skill: Value; stage: Value; before: Value }
  'broken-ladder-first': { skill: Value; stage: Value; before: Value }
  'broken-ladder-contest': { skill: Value }
  'broken-needs': { skill: Value; need: Value; stage: Value }
  'broken-newness': { count: Value; week: Value; most: Value; over: Value }
  'do-minutes': { block: Value; minutes: Value }
  'do-stage': { block: Value; stage: Value }
  'do-replace': { other: Value; block: Value }
  'do-remove': { block: Value }
  'do-show': { skill: Value; date: Value }
  'do-place': { block: Value; place: Value }
  'do-move': { block: Value; date: Value }
  'do-whole': { block: Value }
  'do-beside': { other: Value; block: Value }
  'do-lock': { block: Value }
  'do-unlock': { block: Value }
  'do-forget': { title: Value }
  'do-no-block': null
  'clash-goal': { skill: Value; stage: Value }
  'clash-session': { session: Value; date: Value; minutes: Value; least: Value }
  'clash-session-with-tests': { session: Value; date: Value; minutes: Value; least: Value }
  'clash-strand': { percent: Value; strand: Value }
  'clash-stage': { skill: Value; goal: Value; stage: Value }
  'clash-chain': { goals: Value; asked: Value; sessions: Value }
  'clash-circle': { goals: Value }
  'clash-newness': { goals: Value; asked: Value; weeks: Value; per_week: Value; room: Value }
  'clash-minutes': { goals: Value; asked: Value; minutes: Value }
  'clash-looked': { count: Value; goals: Value }
  'clash-held': { held: Value }
  'clash-held-unproved': { held: Value }
  'clash-held-lock': { title: Value; session: Value; date: Value }
  'clash-held-test': { test: Value; session: Value; date: Value }
  'relax-session-minutes': { minutes: Value }
  'relax-drop-session': null
  'relax-strand-to-nothing': { strand: Value }
  'relax-goal-in-strand': { strand: Value }
  'relax-goal-to': { stage: Value }
  'relax-larger-ground': null
  'relax-drop-goal': null
  'relax-lower-goal': null
  'relax-lower-one-goal': null
  'relax-add-weeks': null
  'relax-add-week': null
  'relax-add-session': null
  'relax-further-already': null
  'relax-drop-one-goal': null
  'relax-more-minutes': null
  'relax-minutes-more': { minutes: Value }
  'relax-unlock': null
  'relax-test-later': null
  'edit-lasts': { title: Value; least: Value; most: Value }
  'edit-no-lock': { locks: Value }
  'edit-no-block': { session: Value; blocks: Value }
  'edit-no-session': { session: Value; sessions: Value }
  'edit-no-variant': { id: Value }
  'edit-no-stage': { skills: Value; stage: Value }
  'edit-no-goal': null
  'edit-no-drill': { skill: Value }
  'edit-unknown-variant': null
  'edit-breaks': { places: Value }
  'edit-nothing-to-lay': null
  'price-nothing': null
  'price-more': { points: Value }
  'price-less': { points: Value }
  'price-more-because': { points: Value; reasons: Value }
  'price-less-because': { points: Value; reasons: Value }
  'price-goals-more': null
  'price-goals-less': null
  'price-strands-more': null
  'price-strands-less': null
  'price-rhythm-more': null
  'price-rhythm-less': null
  'price-maintenance-more': null
  'price-maintenance-less': null
  'price-open-play-more': null
  'price-open-play-less': null
  'price-jumps-more': null
  'price-jumps-less': null
  'price-repetition-more': null
  'price-repetition-less': null
  'price-unused-more': null
  'price-unused-less': null
  'price-other-foot-more': null
  'price-other-foot-less': null
  'price-laying-out-more': null
  'price-laying-out-less': null
  'price-standing-more': null
  'price-standing-less': null
  'price-edge-more': null
  'price-edge-less': null
  'price-focus-more': null
  'price-focus-less': null
  'price-arc-more': null
  'price-arc-less': null
  'price-weekly-more': null
  'price-weekly-less': null
  'price-short-blocks-more': null
  'price-short-blocks-less': null
  'price-evidence-more': null
  'price-evidence-less': null
  'points-missing': { skill: Value; count: Value; stage: Value }
  'points-reached': { sessions: Value }
  'points-strand': { strand: Value; percent: Value; target: Value }
  'points-rested': { skill: Value; days: Value; date: Value }
  'points-not-kept': { skill: Value; days: Value; date: Value }
  'points-open-play': { week: Value; percent: Value; line: Value }
  'points-harder': { skill: Value; points: Value; date: Value }
  'points-easier': { skill: Value; points: Value; date: Value }
  'points-again': { title: Value; date: Value }
  'points-unused': { date: Value; minutes: Value }
  'points-other-foot': { percent: Value; touches: Value; target: Value }
  'points-laying-out': { changes: Value; minutes: Value; percent: Value }
  'points-standing': { percent: Value; free: Value }
  'points-too-hard': { minutes: Value; percent: Value; least: Value }
  'points-too-easy': { minutes: Value; percent: Value; most: Value }
  'points-weekly': { week: Value; what: Value; times: Value; least: Value; most: Value }
  'points-off-theme': { week: Value; percent: Value }
  'points-unfocused': { date: Value; skills: Value; most: Value }
  'points-not-open': { date: Value; stage: Value; open: Value }
  'points-easier-after': { date: Value; blocks: Value }
  'points-short': { blocks: Value; minutes: Value }
  'points-early': { test: Value; date: Value; skill: Value; stage: Value }
  'short-of-skill': { skill: Value; exposures: Value }
  'short-of-stage': { count: Value; stage: Value }
  'why-asked-as-goal': { skill: Value; nth: Value; of: Value; stage: Value }
  'why-asked-on-the-way': { skill: Value; nth: Value; of: Value; stage: Value; goal: Value }
  'why-again': { skill: Value; stage: Value }
  'why-keeps': { skill: Value; days: Value }
  'why-besides': { skill: Value }
  'why-weekly': { what: Value; least: Value; most: Value }
  'why-waited-for-needs': { skill: Value; needs: Value }
  'why-done-on': { skill: Value; stage: Value; date: Value }
  'why-waited-for-stage': { stage: Value; before: Value; date: Value }
  'why-waited-for-first': { stage: Value; before: Value; date: Value }
  'why-opens': { skills: Value }
  'why-comes-off': { skill: Value; tenths: Value; least: Value; most: Value }
  'why-comes-off-seldom': { skill: Value; tenths: Value; least: Value; most: Value }
  'why-comes-off-easily': { skill: Value; tenths: Value; least: Value; most: Value }
  'why-locked': null
  'why-present-at': { stage: Value }
  'why-first-met': { date: Value }
  'why-never': null
  'why-need-done': { need: Value; stage: Value; date: Value }
  'why-need-never-done': { need: Value; stage: Value }
  'why-full-week': { week: Value; most: Value }
  'why-full-weeks': { weeks: Value; most: Value }
  'why-earlier-costs': { date: Value; points: Value }
  'why-earlier-free': { date: Value }
  'why-no-room': null
  'why-missing-too-late': { count: Value; stage: Value; before: Value }
  'why-missing-few-left': { count: Value; stage: Value; before: Value; date: Value; sessions: Value }
  'why-missing-others': { count: Value; stage: Value }
  'edition-other-days': null
  'edition-other-ground': null
  'edition-other-approach': null
  'edition-other-feet': null
  'edition-other-shares': null
  'edition-other-themes': null
  'edition-other-weekly': null
  'edition-other-mastery': null
  'edition-other-tests': null
  'edition-other-minutes': { session: Value; now: Value; then: Value }
  'edition-new-goal': { skill: Value; stage: Value }
  'edition-other-goal': { skill: Value; now: Value; then: Value }
  'edition-no-goal': { skill: Value }
  'edition-drill-rewritten': { title: Value }
  'edition-block-minutes': { session: Value; block: Value; now: Value; then: Value }
  'edition-block-moved': { session: Value; block: Value; to: Value }
  'edition-block-left-out': { session: Value; block: Value }
  'edition-block-added': { session: Value; block: Value }
  'curriculum-minutes-for-each': { numbers: Value; sessions: Value }
  'curriculum-tests-too-long': { taken: Value; minutes: Value }
  'curriculum-test-twice': { test: Value }
  'curriculum-lock-without-session': { session: Value }
  'curriculum-no-goal': null
  'curriculum-need-is-no-goal': { skill: Value; need: Value; stage: Value }
  'curriculum-weekdays': null
  'curriculum-holiday': { week: Value; weeks: Value }
  'curriculum-no-week-left': null
  'problem-version': { version: Value; known: Value }
  'problem-order': null
  'problem-tests-too-long': { tests: Value; minutes: Value }
  'problem-no-skill': { id: Value }
  'problem-skill-twice': null
  'problem-other-id': { id: Value; wanted: Value }
  'problem-block-minutes': null
  'problem-no-session': { session: Value; sessions: Value }
  'problem-no-variant': { id: Value }
  'problem-no-window': null
  'problem-theme-skills': { most: Value }
  'problem-weekly-times': { most: Value }
  'problem-no-drill': { id: Value }
  'problem-theme-week': { week: Value }
  'variant-no-stage': { written: Value }
  'year-untaught': { skill: Value; band: Value }
  'year-not-reached': { curriculum: Value; skill: Value; stage: Value }
  'year-rests': { skill: Value; days: Value; curriculum: Value; percent: Value }
  'year-share': { strand: Value; percent: Value; wished: Value }
  'year-begun-twice': { skill: Value; band: Value }
  'year-on-days-off': { curriculum: Value; sessions: Value; date: Value; off: Value }
  'season-change-too-many': { team: Value; players: Value; most: Value }
  'season-change-empty': { team: Value }
  'season-change-no-coach': { team: Value }
  'season-change-one-name': { name: Value; team: Value }
  'season-change-out-of-ages': { players: Value; team: Value }
  'season-change-no-band': { players: Value; team: Value }
  'season-change-unsure': { players: Value }
  'problem-signed-out': null
  'problem-wrong-password': null
  'problem-busy': null
  'problem-too-slow': null
  'problem-not-ready': null
  'problem-other-method': null
  'problem-code-needed': null
  'problem-wrong-code': null
  'problem-second-factor-first': null
  'problem-slow-down': null
  'problem-not-allowed': null
  'problem-foreign-origin': null
  'problem-not-found': null
  'problem-input': null
  'problem-clash': null
  'problem-version-missing': null
  'problem-unreadable': null
  'problem-too-large': null
  'problem-internal': null
  'problem-stale': null
  'problem-taken': null
  'refused-signed-out': null
  'refused-wrong-password': null
  'refused-too-slow': null
  'refused-not-ready': null
  'refused-other-method': null
  'refused-no-line': null
  'refused-code-needed': null
  'refused-wrong-code': null
  'refused-second-factor-first': null
  'refused-busy': null
  'refused-slow-down': { minutes: Value }
  'refused-not-allowed': null
  'refused-other-site': null
  'refused-not-found': { what: Value }
  'refused-version-missing': null
  'refused-no-json': null
  'refused-too-large': { kilobytes: Value }
  'refused-internal': null
  'refused-stale': null
  'thing-page': null
  'thing-interface': null
  'thing-skill': null
  'thing-curriculum': null
  'thing-goal': null
  'thing-band': null
  'thing-edition': null
  'thing-calendar': null
  'thing-session': null
  'thing-block': null
  'thing-remedy': null
  'thing-milestone': null
  'thing-test': null
  'thing-gates': null
  'thing-player': null
  'thing-start': null
  'thing-drill': null
  'thing-drill-state': null
  'thing-club': null
  'thing-team': null
  'thing-place': null
  'thing-season': null
  'thing-season-change': null
  'thing-days-off': null
  'thing-invitation': null
  'thing-person': null
  'thing-sign-in': null
  'thing-password-link': null
  'thing-second-factor': null
  'thing-note': null
  'thing-beginning': null
  'entered-other-address': null
  'entered-at-most': { most: Value }
  'entered-not-in-squad': null
  'entered-day': null
  'entered-other-season': { day: Value }
  'entered-time': { written: Value }
  'entered-no-milestone': null
  'entered-no-test': null
  'entered-not-the-sum': { value: Value; sum: Value }
  'entered-no-edition': null
  'entered-no-session': { sessions: Value }
  'entered-no-place': { blocks: Value }
  'entered-no-block': null
  'entered-cursor': null
  'entered-email': { written: Value }
  'entered-time-zone': { written: Value }
  'entered-password-guessed': null
  'entered-password-names': { name: Value }
  'entered-password-now': null
  'entered-code': null
  'entered-second-factor-on': null
  'entered-oneself': null
  'entered-password': { long: Value; least: Value; most: Value }
  'entered-no-coach': null
  'entered-club-needed': null
  'entered-club-too-much': null
  'entered-no-team': null
  'entered-standard-in-the-past': null
  'entered-mend-of-nothing': null
  'entered-mend-of-library': null
  'entered-left': { minutes: Value }
  'entered-already-logged': null
  'entered-change-logged': null
  'entered-breaks-rule': { session: Value; broken: Value }
  'entered-keeps-name': null
  'entered-spreadsheet': null
  'entered-large-spreadsheet': { megabytes: Value }
  'kept-other-test': { test: Value }
  'kept-milestone-rests': { milestone: Value }
  'kept-gate-rests': { skill: Value }
  'kept-curriculum-tests': { curriculum: Value }
  'kept-test-has-results': null
  'kept-milestone-has-word': null
  'taken-by-other-team': null
  'taken-trial-unknown': { id: Value }
  'taken-by-other-curriculum': null
  'taken-by-other-squad': null
  'taken-player-name': { name: Value }
  'taken-club-name': { name: Value }
  'taken-band-name': { name: Value }
  'taken-team-name': { name: Value }
  'taken-place-name': { name: Value }
  'taken-login': { login: Value }
  'taken-invitation': null
  'taken-last-director': null
  'taken-begun': null
  'taken-no-club': null
  'taken-drill-name': { title: Value }
  'change-laid-anew': null
  'change-wishes': null
  'change-cancelled': { date: Value }
  'change-cut-short': { date: Value; minutes: Value }
  'change-waits': { skill: Value }
  'change-begins': { skill: Value }
  'change-one-up': { drill: Value }
  'change-one-down': { drill: Value }
  'change-same-again': { drill: Value }
  'change-taken-back': null
  'change-own-days': null
  'change-times': null
  'change-days-off': null
  'change-carried-over': null
  'change-new-edition': null
  'map-circle': { path: Value }
  'map-unknown': { skill: Value; named: Value }
  'map-later-band': { skill: Value; band: Value; need: Value; stage: Value; need_band: Value }
  'map-no-drill': { skill: Value; stage: Value }
  'map-unused-test': { skill: Value; test: Value }
  'map-no-milestone': { skill: Value; milestone: Value }
  'map-redundant': { skill: Value; need: Value; stage: Value; through: Value }
  'map-unset': { skill: Value; from: Value; to: Value; touch: Value }
  'map-unjoined': { skill: Value; from: Value; to: Value }
  'skill-played-by': { skill: Value }
  'skill-counted-by': { test: Value }
  'map-lonely': { skill: Value }
  'map-change-new': { skill: Value }
  'map-change-gone': { skill: Value }
  'map-change-renamed': { before: Value; skill: Value }
  'map-change-band': { skill: Value; now: Value; before: Value }
  'map-change-strand': { skill: Value; now: Value; before: Value }
  'map-change-need-added': { skill: Value; need: Value; stage: Value }
  'map-change-need-stage': { skill: Value; need: Value; now: Value; before: Value }
  'map-change-need-dropped': { skill: Value; need: Value }
  'map-change-gate': { skill: Value }
  'map-change-helps-or-feet': { skill: Value }
  'gate-look': { times: Value; of_last: Value; most: Value }
  'map-would-circle': { path: Value }
  'skill-served-by-drill': { drill: Value; id: Value }
  'skill-shown-by-test': { test: Value; id: Value }
  'skill-shown-by-milestone': { milestone: Value; id: Value }
  'skill-named-by-skill': { skill: Value; id: Value }
  'test-range': { from: Value; to: Value; least: Value; most: Value }
  'test-other-protocol': null
  'test-other-feet': null
  'test-no-points': { test: Value }
  'test-marks': { test: Value; points: Value; marks: Value }
  'test-no-such-mark': { mark: Value }
  'result-out-of-range': { value: Value; test: Value; least: Value; most: Value }
  'test-too-fine': { value: Value; step: Value }
  'test-score-without-count': null
  'test-score-opens': null
  'test-score-without-touch': null
  'milestone-look': { times: Value; of_last: Value; most: Value }
  'milestone-no-such-point': { point: Value; points: Value }
  'milestone-no-points': { test: Value }
  'milestone-asked-by-gate': { skill: Value }
  'milestone-would-not-hold': { milestone: Value; fault: Value }
  'missing-need': { skill: Value; stage: Value }
  'missing-milestone': { milestone: Value; times: Value; of_last: Value }
  'missing-no-milestone': { milestone: Value }
  'missing-test': { test: Value; value: Value; times: Value; of_last: Value }
  'missing-gate': null
  'standard-percentiles': null
  'standard-levels-meet': { band: Value }
  'standard-falls-with-age': { level: Value; older: Value; old: Value; younger: Value; young: Value }
  'standard-too-fast': { level: Value; band: Value; count: Value; beat_s: Value; least_s: Value; most: Value }
  'note-seen': { name: Value }
  'note-working-on': { name: Value }
  'note-milestone': { says: Value }
  'note-begun': { name: Value }
  'score-fault': { line: Value; column: Value; expected: Value }
  'score-fault-mendable': { line: Value; column: Value; expected: Value; mend: Value }
  'score-expected-statement': null
  'score-expected-joinable': null
  'score-expected-closing': null
  'score-expected-opening': null
  'score-expected-times': { most: Value }
  'score-expected-beats': { most: Value }
  'score-expected-name': null
  'score-expected-left': null
  'score-expected-surface': null
  'score-expected-action': null
  'score-expected-way': null
  'score-expected-way-asked': { action: Value }
  'score-expected-surface-for': { action: Value }
  'score-expected-way-for': { surface: Value; action: Value; ways: Value }
  'score-expected-length': null
  'score-expected-length-between': { least: Value; most: Value }
  'score-expected-degrees': null
  'score-expected-degrees-at-most': { most: Value }
  'score-expected-turn': null
  'score-expected-step': null
  'score-expected-over': null
  'score-expected-height': null
  'score-expected-feint': null
  'score-expected-ball': null
  'score-expected-lie': null
  'score-expected-end': null
  'score-expected-bytes-at-most': { most: Value }
  'score-expected-statements-at-most': { most: Value }
  'score-expected-nested-at-most': { most: Value }
  'score-expected-beats-at-most': { most: Value }
  'score-expected-before-first-beat': null
  'score-expected-a-beat': null
  'score-expected-free-name': null
  'score-expected-part': null
  'score-expected-skill': null
  'score-expected-sound-skill': { skill: Value }
  'score-expected-no-circle': { path: Value }
  'score-expected-reach': { most: Value; from: Value; away: Value }
  'score-expected-free-foot': null
  'score-expected-ball-on-floor': null
  'score-expected-ball-in-air': null
  'score-expected-ball-in-hands': null
  'score-expected-ball-thrown': null
  'score-expected-ball-still': null
  'score-mend-did-you-mean': { word: Value }
  'score-mend-one-of': { known: Value }
  'score-mend-split-text': { bytes: Value }
  'score-mend-close': null
  'score-mend-closes-nothing': null
  'score-mend-write-block': { head: Value }
  'score-mend-write-out': null
  'score-mend-repeat-less': null
  'score-mend-new-statement': { written: Value }
  'score-mend-on-its-own': null
  'score-mend-move-up': null
  'score-mend-add-beat': null
  'score-mend-name-taken': { line: Value; name: Value }
  'score-mend-no-part': { name: Value }
  'score-mend-no-skill': { id: Value }
  'score-mend-mend-skill': { faults: Value }
  'score-mend-leave-out': null
  'score-mend-this-length': { metres: Value }
  'score-mend-less-or-step': null
  'score-mend-other-foot-first': null
  'score-mend-other-surface': { way: Value; surfaces: Value }
  'score-mend-bounce-or-cushion': null
  'score-mend-lift-or-toss': null
  'score-mend-toss-first': null
  'score-mend-start-in-hands': null
  'score-mend-strike-last': null
  'score-mend-which-side': { surface: Value }
  'surface-inside': null
  'surface-outside': null
  'surface-sole': null
  'surface-laces': null
  'surface-toe': null
  'surface-heel': null
  'surface-thigh': null
  'surface-chest': null
  'surface-head': null
  'surface-shoulder': null
  'way-in': null
  'way-out': null
  'way-ahead': null
  'way-back': null
  'way-left': null
  'way-right': null
  'way-ahead-in': null
  'way-ahead-out': null
  'way-back-in': null
  'way-back-out': null
  'action-tap': null
  'action-push': null
  'action-cut': null
  'action-roll': null
  'action-drag': null
  'action-rock': null
  'action-touch': null
  'action-stop': null
  'action-chop': null
  'action-lift': null
  'action-cushion': null
  'action-wedge': null
  'action-strike': null
  'height-knee': null
  'height-waist': null
  'height-head': null
  'height-over': null
  'count-in': null
  'count-out': null
  'count-sole': null
  'count-laces': null
  'count-toe': null
  'count-heel': null
  'count-roll': null
  'count-drag': null
  'count-rock': null
  'count-stop': null
  'count-chop': null
  'count-up': null
  'count-soft': null
  'count-wedge': null
  'count-away': null
  'count-step': null
  'count-over': null
  'count-round': null
  'count-hop': null
  'count-lunge': null
  'count-fake': null
  'count-drop': null
  'count-turn': null
  'count-look': null
  'count-bounce': null
  'count-toss': null
  'count-wait': null
  'limb-foot': { side: Value; surface: Value }
  'limb-body': { surface: Value }
  'move-touch': { limb: Value; action: Value }
  'move-touch-to': { limb: Value; action: Value; way: Value }
  'move-lift': { limb: Value; action: Value; height: Value }
  'move-step-over': { side: Value; way: Value }
  'move-step-round': { side: Value }
  'move-step-to': { side: Value; way: Value }
  'move-hop': null
  'move-lunge': { way: Value }
  'move-fake-pass': null
  'move-fake-shot': null
  'move-drop': { side: Value }
  'move-turn-to': { side: Value; degrees: Value }
  'move-turn-around': null
  'move-look-up': null
  'move-look-to': { side: Value }
  'move-look-behind': null
  'move-bounce': null
  'move-toss': null
  'move-wait': null
  'surfaces-lopsided': { percent: Value; strand: Value; surface: Value }
  'surfaces-missing': { skill: Value; surface: Value }
  'strand-ball_mastery': null
  'strand-dribbling': null
  'strand-receiving': null
  'strand-passing': null
  'stage-form': null
  'stage-flow': null
  'stage-scan': null
  'stage-contest': null
  'stage-means-form': null
  'stage-means-flow': null
  'stage-means-scan': null
  'stage-means-contest': null
  'level-starting': null
  'level-building': null
  'level-secure': null
  'level-stretching': null
  'level-means-starting': null
  'level-means-building': null
  'level-means-secure': null
  'level-means-stretching': null
  'side-left': null
  'side-right': null
  'foot-strong': null
  'foot-other': null
  'outcome-done': null
  'outcome-short': null
  'outcome-skipped': null
  'role-director': null
  'role-club_lead': null
  'role-coach': null
  'caution-tag-aerial': null
  'caution-tag-heading': null
  'caution-tag-ball_underfoot': null
  'caution-tag-contact': null
  'caution-tag-hard_floor': null
  'caution-tag-jumping': null
  'caution-tag-reaction_crowding': null
  'caution-tag-throw_in_service': null
  'lever-tempo': null
  'lever-motion': null
  'lever-eyes': null
  'lever-side': null
  'lever-surface': null
  'lever-touches': null
  'lever-space': null
  'lever-ball': null
  'lever-service': null
  'lever-chain': null
  'lever-pressure': null
  'lever-contest': null
  'joined-more': { one: Value; other: Value }
  'joined-last': { one: Value; other: Value }
  'colour-white': null
  'colour-yellow': null
  'colour-orange': null
  'colour-red': null
  'colour-blue': null
  'colour-green': null
  'colour-black': null
  'colour-pink': null
}
type Value = string | number

/** The words of the glossary, in its order. */
export const GLOSSARY = [
  'band',
  'strand',
  'skill',
  'stage',
  'need',
  'gate',
  'drill',
  'dose',
  'lever',
  'rung',
  'exposure',
  'term',
  'outline',
  'curriculum',
  'plan',
  'block',
  'stitch',
  'score',
  'clash',
  'edition',
  'session',
  'test',
  'standard',
  'level',
  'typical_error',
  'smallest_real_change',
  'agreement',
  'milestone',
  'assumption',
] as const
