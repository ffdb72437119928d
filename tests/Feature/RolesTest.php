<?php

use Illuminate\Support\Facades\Route;
use Illuminate\Testing\TestResponse;
use Nomada\App\Models\Publishing\Run;
use Nomada\App\Models\Term\Person;

// Every route, for everybody: what a person of each role gets. A route that is not in this table fails the last test.
// 401 leads to the sign-in, 422 comes back with faults (nothing is sent along here), 302 is done.
const ROUTES = [
    // method, path, coordinator, own teacher, another teacher, student, nobody signed in
    'board' => ['GET', '/', 200, 200, 200, 302, 401],
    'board.rows' => ['GET', '/board/rows?rows[]=MAR', 200, 200, 200, 403, 401],
    'me' => ['GET', '/me', 302, 302, 302, 200, 401],
    'term' => ['GET', '/term', 200, 200, 200, 403, 401],
    'timetable' => ['GET', '/timetable', 200, 200, 200, 403, 401],
    'timetable.sheets' => ['GET', '/timetable/sheets', 200, 200, 200, 403, 401],
    'set-up' => ['GET', '/set-up', 200, 403, 403, 403, 401],
    'set-up.hide' => ['POST', '/set-up/hiding', 302, 403, 403, 403, 401],
    'people' => ['GET', '/people', 200, 403, 403, 403, 401],
    'people.add' => ['GET', '/people/new', 200, 403, 403, 403, 401],
    'people.store' => ['POST', '/people', 422, 403, 403, 403, 401],
    'people.preview' => ['GET', '/people/edits/01ARZ3NDEKTSV4RRFFQ69G5FAV', 404, 403, 403, 403, 401],
    'people.take' => ['POST', '/people/edits/01ARZ3NDEKTSV4RRFFQ69G5FAV', 404, 403, 403, 403, 401],
    'people.update' => ['PUT', '/people/S-1/details', 422, 403, 403, 403, 401],
    'people.move' => ['POST', '/people/S-1/moves', 422, 403, 403, 403, 401],
    'requests' => ['GET', '/requests', 200, 200, 200, 403, 401],
    'requests.accept' => ['POST', '/requests/1/acceptance', 404, 403, 403, 403, 401],
    'requests.decline' => ['POST', '/requests/1/refusal', 404, 403, 403, 403, 401],
    'requests.withdraw' => ['DELETE', '/requests/1', 404, 404, 404, 403, 401],
    'rights' => ['GET', '/teachers/rights', 200, 403, 403, 403, 401],
    'rights.update' => ['PUT', '/teachers/rights', 422, 403, 403, 403, 401],
    'rights.override' => ['PUT', '/sections/MAR/rights', 422, 403, 403, 403, 401],
    'clashes' => ['GET', '/timetable/clashes', 200, 200, 200, 403, 401],
    'clashes.options' => ['GET', '/timetable/clashes/options?key=x', 200, 403, 403, 403, 401],
    'clashes.accept' => ['POST', '/timetable/clashes', 422, 403, 403, 403, 401],
    'clashes.reopen' => ['DELETE', '/timetable/clashes', 302, 403, 403, 403, 401],
    'joining' => ['GET', '/joining', 200, 200, 200, 403, 401],
    'registration' => ['GET', '/registration', 200, 200, 200, 403, 401],
    'registration.rows' => ['GET', '/registration/rows?rows[]=1', 200, 200, 200, 403, 401],
    'joining.rows' => ['GET', '/joining/rows?rows[]=1', 200, 200, 200, 403, 401],
    'contact-time.rows' => ['GET', '/timetable/contact-time/rows?rows[]=MAR', 200, 200, 200, 403, 401],
    'publishing' => ['GET', '/publishing', 200, 200, 200, 403, 401],
    'today' => ['GET', '/today', 200, 200, 200, 403, 401],
    'records' => ['GET', '/records', 200, 200, 200, 403, 401],
    'records.rows' => ['GET', '/records/rows?rows[]=MAR', 200, 200, 200, 403, 401],
    // Its signature is enough, no matter who brings it; without one it is refused.
    'replies' => ['POST', '/replies', 403, 403, 403, 403, 403],
    'webhooks' => ['GET', '/publishing/webhooks', 200, 403, 403, 403, 401],
    'webhooks.store' => ['POST', '/publishing/webhooks', 422, 403, 403, 403, 401],
    'webhooks.try' => ['POST', '/publishing/webhooks/1/trial', 404, 403, 403, 403, 401],
    'webhooks.destroy' => ['DELETE', '/publishing/webhooks/1', 404, 403, 403, 403, 401],
    'webhooks.again' => ['POST', '/publishing/webhooks/messages/1/again', 404, 403, 403, 403, 401],
    'today.choose' => ['GET', '/sections/MAR/start', 200, 200, 403, 403, 401],
    'today.start' => ['POST', '/today/start', 422, 422, 422, 403, 401],
    'missed' => ['GET', '/records/missed', 200, 200, 200, 403, 401],
    'missed.write' => ['POST', '/records/missed', 302, 302, 302, 403, 401],
    'records.rules' => ['PUT', '/records/rules', 422, 403, 403, 403, 401],
    'attendance' => ['GET', '/records/sections/MAR', 200, 200, 403, 403, 401],
    'attendance.export' => ['GET', '/records/sections/MAR/as/csv', 200, 200, 403, 403, 401],
    'attendance.session' => ['GET', '/records/sections/MAR/sessions/{session}', 200, 200, 403, 403, 401],
    'attendance.correct' => [
        'POST',
        '/records/sections/MAR/sessions/{session}/corrections',
        422,
        422,
        403,
        403,
        401,
    ],
    'attendance.as-computed' => [
        'DELETE',
        '/records/sections/MAR/sessions/{session}/corrections/S-1',
        302,
        302,
        403,
        403,
        401,
    ],
    'attendance.read' => ['POST', '/records/sections/MAR/sessions/{session}/reading', 302, 302, 403, 403, 401],
    'attendance.formula' => ['PUT', '/records/sections/MAR/formula', 422, 422, 403, 403, 401],
    'attendance.by-itself' => ['PUT', '/records/sections/MAR/release', 302, 302, 403, 403, 401],
    'attendance.score' => ['PUT', '/records/sections/MAR/scores', 422, 422, 403, 403, 401],
    'attendance.student' => ['GET', '/records/people/S-1', 200, 200, 404, 403, 401],
    'attendance.own' => ['GET', '/me/attendance', 403, 403, 403, 200, 401],
    'absences.tell' => ['POST', '/records/people/S-1/absences', 422, 403, 403, 403, 401],
    'absences.take-back' => ['DELETE', '/records/people/S-1/absences/1', 302, 403, 403, 403, 401],
    'person.recorded' => ['PUT', '/people/S-1/recorded', 422, 403, 403, 403, 401],
    'presence-lists' => ['GET', '/records/sections/MAR/lists', 200, 200, 403, 403, 401],
    'presence-lists.store' => ['POST', '/records/sections/MAR/lists', 422, 422, 403, 403, 401],
    'presence-lists.show' => ['GET', '/records/sections/MAR/lists/none', 404, 404, 403, 403, 401],
    'presence-lists.take' => ['POST', '/records/sections/MAR/lists/none', 404, 404, 403, 403, 401],
    'recordings.search' => ['GET', '/sections/MAR/recordings?q=tide', 200, 200, 404, 200, 401],
    'recording' => ['GET', '/recordings/{recording}', 200, 200, 404, 404, 401],
    'recording.word' => ['POST', '/recordings/{recording}/word', 302, 302, 404, 404, 401],
    'recording.place' => ['POST', '/recordings/{recording}/place', 204, 204, 404, 404, 401],
    // Without its signature the address of a part is nobody's.
    'recording.part' => ['GET', '/recordings/{recording}/parts/1', 403, 403, 403, 403, 401],
    'recording.transcript' => ['GET', '/recordings/{recording}/parts/1/words.vtt', 403, 403, 403, 403, 401],
    'recording.release' => ['PUT', '/recordings/{recording}/release', 422, 422, 403, 403, 401],
    'recording.withdraw' => ['DELETE', '/recordings/{recording}/release', 422, 422, 403, 403, 401],
    'recording.keep-transcript' => ['POST', '/recordings/{recording}/transcript', 422, 422, 403, 403, 401],
    // A guardian's, by the link in a letter; it is signed.
    'children' => ['GET', '/children/1', 403, 403, 403, 403, 403],
    'children.tell' => ['POST', '/children/1', 403, 403, 403, 403, 403],
    'materials.store' => ['POST', '/sections/MAR/materials', 422, 422, 403, 403, 401],
    'materials.destroy' => ['DELETE', '/sections/MAR/materials/1', 404, 404, 403, 403, 401],
    'section.remind' => ['PUT', '/sections/MAR/reminder', 422, 422, 403, 403, 401],
    'material' => ['GET', '/materials/01ARZ3NDEKTSV4RRFFQ69G5FAV', 404, 404, 404, 404, 401],
    'me.language' => ['PUT', '/me/language', 302, 302, 302, 302, 401],
    'me.remind' => ['PUT', '/me/reminder', 302, 302, 302, 302, 401],
    'section.cartridge' => ['GET', '/sections/MAR/cartridge', 200, 200, 403, 403, 401],
    'roster' => ['GET', '/term/roster', 200, 403, 403, 403, 401],
    'feed.page' => ['GET', '/feeds/AAAAAAAAAAAAAAAAAAAAAAAAAAA/page', 404, 404, 404, 404, 404],
    'feed.stream' => ['GET', '/feeds/AAAAAAAAAAAAAAAAAAAAAAAAAAA.atom', 404, 404, 404, 404, 404],
    'feed.busy' => ['GET', '/feeds/AAAAAAAAAAAAAAAAAAAAAAAAAAA.ifb', 404, 404, 404, 404, 404],
    'look' => ['GET', '/people/S-1/look', 200, 200, 404, 403, 401],
    'house' => ['GET', '/house', 200, 403, 403, 403, 401],
    'added.leave' => ['POST', '/publishing/added/MAR/{added}', 302, 302, 403, 403, 401],
    'added.remove' => ['DELETE', '/publishing/added/MAR/{added}', 422, 422, 403, 403, 401],
    'places' => ['GET', '/publishing/places', 200, 403, 403, 403, 401],
    'showing' => ['GET', '/publishing/showing', 200, 403, 403, 403, 401],
    'showing.keep' => ['PUT', '/publishing/showing', 422, 403, 403, 403, 401],
    'showing.section' => ['GET', '/publishing/showing/MAR', 200, 403, 403, 403, 401],
    'showing.section.keep' => ['PUT', '/publishing/showing/MAR', 422, 403, 403, 403, 401],
    'showing.section.reset' => ['DELETE', '/publishing/showing/MAR', 302, 403, 403, 403, 401],
    'places.update' => ['PUT', '/publishing/places/course', 422, 403, 403, 403, 401],
    'places.try' => ['PUT', '/publishing/places/course/trial', 422, 403, 403, 403, 401],
    'places.reset' => ['DELETE', '/publishing/places/course', 302, 403, 403, 403, 401],
    'places.rooms' => ['POST', '/publishing/rooms', 422, 403, 403, 403, 401],
    'drift' => ['GET', '/publishing/drift', 200, 200, 200, 403, 401],
    'drift.look' => ['POST', '/publishing/drift/look', 302, 302, 302, 403, 401],
    'drift.back' => ['POST', '/publishing/drift/back', 422, 422, 422, 403, 401],
    'drift.keep' => ['POST', '/publishing/drift/kept', 422, 422, 422, 403, 401],
    'drift.take-back' => ['DELETE', '/publishing/drift/kept/{placement}', 422, 422, 403, 403, 401],
    'run.halt' => ['POST', '/publishing/runs/{run}/halt', 302, 403, 403, 403, 401],
    'run.go-on' => ['POST', '/publishing/runs/{run}/going-on', 302, 403, 403, 403, 401],
    'run.csv' => ['GET', '/publishing/runs/{run}/record.csv', 200, 403, 403, 403, 401],
    'find' => ['GET', '/find?q=mar', 200, 200, 200, 403, 401],
    'person' => ['GET', '/people/S-1', 200, 200, 404, 403, 401],
    'joining.result' => ['GET', '/joining/acts/{result}', 200, 404, 404, 403, 401],
    'joining.result.undo' => ['POST', '/joining/acts/{result}/undoing', 302, 404, 404, 403, 401],
    'import.undo' => ['POST', '/term/imports/{import}/undoing', 422, 403, 403, 403, 401],
    'calendar.undo' => ['POST', '/term/changes/{change}/undoing', 302, 403, 403, 403, 401],
    'sign-in.code' => ['GET', '/sign-in/code', 302, 302, 302, 302, 401],
    'sign-in.enter' => ['POST', '/sign-in/code', 302, 302, 302, 302, 401],
    'forgotten' => ['GET', '/sign-in/forgotten', 302, 302, 302, 302, 200],
    'forgotten.ask' => ['POST', '/sign-in/forgotten', 302, 302, 302, 302, 422],
    // The link is signed; without its signature it is nobody's.
    'account.pass' => ['GET', '/account/passes/1', 403, 403, 403, 403, 403],
    'account.pass.use' => ['POST', '/account/passes/1', 403, 403, 403, 403, 403],
    'account' => ['GET', '/account', 200, 200, 200, 200, 401],
    'account.password' => ['PUT', '/account/password', 422, 422, 422, 422, 401],
    'account.second-factor' => ['POST', '/account/second-factor', 422, 422, 422, 422, 401],
    'enter' => ['GET', '/enter/{series}', 404, 404, 404, 404, 401],
    'enter.room' => ['GET', '/enter/rooms/999999', 404, 404, 404, 404, 401],
    'section.addresses' => ['POST', '/sections/MAR/addresses', 302, 302, 403, 403, 401],
    'person.links.renew' => ['POST', '/people/S-1/links', 302, 403, 403, 403, 401],
    'account.second-factor.confirm' => ['PUT', '/account/second-factor', 422, 422, 422, 422, 401],
    'account.second-factor.drop' => ['DELETE', '/account/second-factor', 422, 422, 422, 422, 401],
    'account.codes' => ['GET', '/account/codes', 302, 302, 302, 302, 401],
    'account.codes.fresh' => ['POST', '/account/codes', 422, 422, 422, 422, 401],
    'account.sign-ins.end' => ['DELETE', '/account/sign-ins/1', 302, 302, 302, 302, 401],
    'accounts' => ['GET', '/accounts', 200, 403, 403, 403, 401],
    'accounts.invite' => ['POST', '/accounts/invitations', 422, 403, 403, 403, 401],
    'person.invite' => ['POST', '/people/S-1/invitation', 302, 403, 403, 403, 401],
    'person.disabled' => ['POST', '/people/S-1/disabled', 302, 403, 403, 403, 401],
    'person.enabled' => ['DELETE', '/people/S-1/disabled', 302, 403, 403, 403, 401],
    'section' => ['GET', '/sections/MAR', 200, 200, 403, 403, 401],
    'series.preview' => ['POST', '/sections/MAR/series/preview', 422, 403, 403, 403, 401],
    'series.store' => ['POST', '/sections/MAR/series', 422, 403, 403, 403, 401],
    'series.update' => ['PUT', '/sections/MAR/series/{series}', 422, 403, 403, 403, 401],
    'series.destroy' => ['DELETE', '/sections/MAR/series/{series}', 302, 403, 403, 403, 401],
    'session.cancel' => [
        'POST',
        '/sections/MAR/series/{series}/sessions/{session}/cancellation',
        422,
        422,
        403,
        403,
        401,
    ],
    'session.move' => ['PUT', '/sections/MAR/series/{series}/sessions/{session}', 422, 422, 403, 403, 401],
    'session.restore' => [
        'DELETE',
        '/sections/MAR/series/{series}/sessions/{session}/cancellation',
        422,
        422,
        403,
        403,
        401,
    ],
    'links.store' => ['POST', '/joining/links', 302, 302, 403, 403, 401],
    'rosters.store' => ['POST', '/registration/rosters', 302, 302, 403, 403, 401],
    'publishing.choose' => ['POST', '/publishing/chosen', 302, 302, 403, 403, 401],
    'publishing.store' => ['POST', '/publishing/runs', 302, 302, 403, 403, 401],
    'publishing.section' => ['GET', '/publishing/sections/MAR', 200, 200, 403, 403, 401],
    'runs' => ['GET', '/publishing/runs', 200, 200, 200, 403, 401],
    'run' => ['GET', '/publishing/runs/{run}', 200, 403, 403, 403, 401],
    'run.progress' => ['GET', '/publishing/runs/{run}/progress', 200, 403, 403, 403, 401],
    'run.again' => ['POST', '/publishing/runs/{run}/again', 302, 403, 403, 403, 401],
    'closures.preview' => ['GET', '/term/closing', 422, 403, 403, 403, 401],
    'closures.store' => ['POST', '/term/closures', 422, 403, 403, 403, 401],
    'closures.destroy' => ['DELETE', '/term/closures/{closure}', 302, 403, 403, 403, 401],
    'feed.renew' => ['POST', '/me/feed', 302, 302, 302, 302, 401],
    'contact-time' => ['GET', '/timetable/contact-time', 200, 200, 200, 403, 401],
    'contact-time.export' => ['GET', '/timetable/contact-time.csv', 200, 200, 200, 403, 401],
    'contact-time.target' => ['PUT', '/timetable/contact-time', 422, 403, 403, 403, 401],
    'closures.export' => ['GET', '/term/closed-days.ics', 200, 200, 200, 403, 401],
    'closures.upload' => ['POST', '/term/closed-days', 422, 403, 403, 403, 401],
    'closures.read' => ['GET', '/term/closed-days/01J00000000000000000000000', 404, 403, 403, 403, 401],
    'closures.take' => ['POST', '/term/closed-days/01J00000000000000000000000', 404, 403, 403, 403, 401],
    'term.choose' => ['POST', '/term/choice', 404, 404, 404, 403, 401],
    'terms.store' => ['POST', '/terms', 422, 403, 403, 403, 401],
    'terms.copy' => ['POST', '/terms/copies', 422, 403, 403, 403, 401],
    'terms.destroy' => ['DELETE', '/terms/{term}', 422, 403, 403, 403, 401],
    'moves' => ['GET', '/timetable/moves', 200, 403, 403, 403, 401],
    'moves.preview' => ['POST', '/timetable/moves/preview', 200, 403, 403, 403, 401],
    'moves.store' => ['POST', '/timetable/moves', 422, 403, 403, 403, 401],
    'make-ups' => ['GET', '/term/make-ups', 200, 403, 403, 403, 401],
    'make-ups.store' => ['POST', '/term/make-ups', 422, 403, 403, 403, 401],
    'day-plans.store' => ['POST', '/term/day-plans', 422, 403, 403, 403, 401],
    'day-plans.destroy' => ['DELETE', '/term/day-plans/1', 404, 403, 403, 403, 401],
    'short-days.store' => ['POST', '/term/short-days', 422, 403, 403, 403, 401],
    'short-days.destroy' => ['DELETE', '/term/short-days/1', 404, 403, 403, 403, 401],
    'opened-days.store' => ['POST', '/term/opened-days', 422, 403, 403, 403, 401],
    'opened-days.destroy' => ['DELETE', '/term/opened-days/1', 404, 403, 403, 403, 401],
    'rotation.update' => ['PUT', '/term/rotation', 422, 403, 403, 403, 401],
    'hours.update' => ['PUT', '/term/hours', 422, 403, 403, 403, 401],
    'person.calendar' => ['GET', '/people/S-1/calendar.ics', 200, 200, 404, 403, 401],
    'section.calendar' => ['GET', '/sections/MAR/calendar.ics', 200, 200, 403, 403, 401],
    'session.look' => ['POST', '/sections/MAR/series/{series}/sessions/{session}/moving', 422, 422, 403, 403, 401],
    'session.busy' => ['GET', '/sections/MAR/series/{series}/sessions/{session}/busy', 200, 200, 403, 403, 401],
    'session.tell' => [
        'PUT',
        '/sections/MAR/series/{series}/sessions/{session}/particulars',
        422,
        422,
        403,
        403,
        401,
    ],
    'session.remove' => ['DELETE', '/sections/MAR/series/{series}/sessions/{session}', 422, 422, 403, 403, 401],
    'session.add' => ['POST', '/sections/MAR/series/{series}/sessions', 422, 422, 403, 403, 401],
    'series.topics' => ['PUT', '/sections/MAR/series/{series}/topics', 302, 302, 403, 403, 401],
    'series.share' => ['POST', '/sections/MAR/series/{series}/sections', 422, 403, 403, 403, 401],
    'series.unshare' => ['DELETE', '/sections/MAR/series/{series}/sections/SPA', 302, 403, 403, 403, 401],
    'change.undo' => ['POST', '/sections/MAR/changes/1/undoing', 404, 404, 403, 403, 401],
    'change.tell' => ['POST', '/sections/MAR/changes/1/letters', 404, 404, 403, 403, 401],
    'memberships.store' => ['POST', '/sections/MAR/people', 422, 403, 403, 403, 401],
    'memberships.destroy' => ['DELETE', '/sections/MAR/people/0', 404, 403, 403, 403, 401],
    'observer-rules.store' => ['POST', '/sections/MAR/observer-rules', 422, 403, 403, 403, 401],
    'observer-rules.destroy' => ['DELETE', '/sections/MAR/observer-rules/0', 404, 403, 403, 403, 401],
    'wishes' => ['GET', '/timetable/wishes', 200, 200, 200, 403, 401],
    'wishes.store' => ['POST', '/timetable/wishes', 422, 422, 422, 403, 401],
    'wishes.destroy' => ['DELETE', '/timetable/wishes/1', 404, 404, 404, 403, 401],
    'wishes.rule' => ['PUT', '/timetable/wishes/1', 404, 403, 403, 403, 401],
    'own-hours' => ['GET', '/timetable/own-hours', 200, 403, 403, 403, 401],
    'why-not' => ['GET', '/timetable/why-not', 200, 403, 403, 403, 401],
    'drafts' => ['GET', '/timetable/drafts', 200, 403, 403, 403, 401],
    'drafts.store' => ['POST', '/timetable/drafts', 422, 403, 403, 403, 401],
    'drafts.take' => ['POST', '/timetable/drafts/1/taking', 404, 403, 403, 403, 401],
    'drafts.destroy' => ['DELETE', '/timetable/drafts/1', 404, 403, 403, 403, 401],
    'to-place.store' => ['POST', '/sections/MAR/to-place', 422, 403, 403, 403, 401],
    'to-place.place' => ['POST', '/sections/MAR/to-place/1/time', 404, 403, 403, 403, 401],
    'to-place.busy' => ['GET', '/sections/MAR/to-place/1/busy', 404, 403, 403, 403, 401],
    'to-place.destroy' => ['DELETE', '/sections/MAR/to-place/1', 404, 403, 403, 403, 401],
    'fix' => ['GET', '/timetable/fix', 200, 403, 403, 403, 401],
    'fix.ask' => ['POST', '/timetable/fix', 422, 403, 403, 403, 401],
    'fix.stop' => ['POST', '/timetable/fix/1/stopping', 404, 403, 403, 403, 401],
    'fix.preview' => ['GET', '/timetable/fix/1/answers/0', 404, 403, 403, 403, 401],
    'fix.take' => ['POST', '/timetable/fix/1/answers/0', 404, 403, 403, 403, 401],
    'licences' => ['GET', '/timetable/licences', 200, 403, 403, 403, 401],
    'licences.assign' => ['POST', '/timetable/licences/assignment', 302, 403, 403, 403, 401],
    'licences.put' => ['PUT', '/timetable/licences/series/{series}', 302, 403, 403, 403, 401],
    'licences.split' => ['POST', '/timetable/licences/series/{series}/parts', 422, 403, 403, 403, 401],
    'hosting-plans.store' => ['POST', '/timetable/licences/plans', 422, 403, 403, 403, 401],
    'hosting-plans.destroy' => ['DELETE', '/timetable/licences/plans/{plan}', 302, 403, 403, 403, 401],
    'host-accounts.store' => ['POST', '/timetable/licences/accounts', 422, 403, 403, 403, 401],
    'host-accounts.update' => ['PUT', '/timetable/licences/accounts/{account}', 422, 403, 403, 403, 401],
    'host-accounts.destroy' => ['DELETE', '/timetable/licences/accounts/{account}', 302, 403, 403, 403, 401],
    'events' => ['GET', '/timetable/calendars', 200, 403, 403, 403, 401],
    'events.store' => ['POST', '/timetable/calendars', 422, 403, 403, 403, 401],
    'events.preview' => ['GET', '/timetable/calendars/01J00000000000000000000000', 404, 403, 403, 403, 401],
    'events.take' => ['POST', '/timetable/calendars/01J00000000000000000000000', 404, 403, 403, 403, 401],
    'short' => ['GET', '/go/nothing-here', 404, 404, 404, 404, 401],
    'joining.act' => ['POST', '/joining/acts', 422, 422, 422, 403, 401],
    'series.door' => ['GET', '/sections/MAR/series/{series}/joining', 200, 200, 403, 403, 401],
    'series.preset' => ['PUT', '/sections/MAR/series/{series}/preset', 422, 422, 403, 403, 401],
    'series.rules' => ['PUT', '/sections/MAR/series/{series}/rules', 422, 422, 403, 403, 401],
    'series.open.accept' => ['POST', '/sections/MAR/series/{series}/openness', 302, 302, 403, 403, 401],
    'series.hide' => ['POST', '/sections/MAR/series/{series}/hiding', 302, 302, 403, 403, 401],
    'series.replace' => ['POST', '/sections/MAR/series/{series}/replacement', 422, 422, 403, 403, 401],
    'series.short' => ['PUT', '/sections/MAR/series/{series}/short-address', 422, 422, 403, 403, 401],
    'series.guest' => ['POST', '/sections/MAR/series/{series}/guests', 422, 422, 403, 403, 401],
    'series.guest.withdraw' => ['DELETE', '/sections/MAR/series/{series}/guests/0', 404, 404, 403, 403, 401],
    'live' => ['GET', '/live/{session}', 200, 200, 403, 403, 401],
    'live.act' => ['POST', '/live/{session}', 422, 422, 403, 403, 401],
    'series.rules.session' => [
        'DELETE',
        '/sections/MAR/series/{series}/sessions/{later}/rules',
        422,
        422,
        403,
        403,
        401,
    ],
    'drop-ins' => ['GET', '/joining/drop-in', 200, 200, 200, 403, 401],
    'drop-ins.store' => ['POST', '/joining/drop-in', 422, 422, 422, 403, 401],
    'drop-ins.update' => ['PUT', '/joining/drop-in/{room}', 422, 422, 403, 403, 401],
    'drop-ins.hide' => ['POST', '/joining/drop-in/{room}/hiding', 302, 302, 403, 403, 401],
    'drop-ins.replace' => ['POST', '/joining/drop-in/{room}/replacement', 302, 302, 403, 403, 401],
    'drop-ins.destroy' => ['DELETE', '/joining/drop-in/{room}', 404, 302, 403, 403, 401],
    'drop-in.live' => ['GET', '/joining/drop-in/{room}/live', 200, 200, 403, 403, 401],
    'drop-in.live.act' => ['POST', '/joining/drop-in/{room}/live', 422, 422, 403, 403, 401],
    'register' => ['GET', '/register/{series}', 200, 200, 403, 404, 401],
    'register.store' => ['POST', '/register/{series}', 403, 403, 403, 422, 401],
    'register.destroy' => ['DELETE', '/register/{series}/{registration}', 403, 403, 403, 404, 401],
    'desk' => ['GET', '/registration/desk', 200, 200, 200, 403, 401],
    'desk.certain' => ['POST', '/registration/certain', 302, 302, 302, 403, 401],
    'desk.accept' => ['POST', '/registration/{registration}/acceptance', 422, 302, 403, 403, 401],
    'desk.decline' => ['POST', '/registration/{registration}/decline', 422, 422, 403, 403, 401],
    'desk.send' => ['POST', '/registration/{registration}/section', 422, 422, 403, 403, 401],
    'desk.undo' => ['DELETE', '/registration/{registration}/decision', 422, 422, 403, 403, 401],
    'desk.withdraw' => ['DELETE', '/registration/{registration}', 422, 302, 403, 403, 401],
    'series.registering' => ['PUT', '/sections/MAR/series/{series}/registering', 422, 422, 403, 403, 401],
    'series.invite' => ['POST', '/sections/MAR/series/{series}/letters', 302, 302, 403, 403, 401],
    'series.again' => ['POST', '/sections/MAR/series/{series}/letters/0', 404, 404, 403, 403, 401],
    'letters.stop' => ['GET', '/letters/1/stop', 403, 403, 403, 403, 403],
    'letters.stop.keep' => ['POST', '/letters/1/stop', 403, 403, 403, 403, 403],
    'letters' => ['GET', '/registration/letters', 200, 403, 403, 403, 401],
    'letters.update' => ['PUT', '/registration/letters/accepted/en', 422, 403, 403, 403, 401],
    'letters.destroy' => ['DELETE', '/registration/letters/accepted/en', 302, 403, 403, 403, 401],
    'presets' => ['GET', '/joining/presets', 200, 403, 403, 403, 401],
    'presets.store' => ['POST', '/joining/presets', 422, 403, 403, 403, 401],
    'presets.destroy' => ['DELETE', '/joining/presets/none', 302, 403, 403, 403, 401],
    'audit' => ['GET', '/joining/audit', 200, 403, 403, 403, 401],
    'audit.export' => ['GET', '/joining/audit.csv', 200, 403, 403, 403, 401],
    'begin' => ['GET', '/begin', 422, 403, 403, 403, 401],
    'begin.store' => ['POST', '/begin', 422, 403, 403, 403, 401],
    'begin.sample' => ['GET', '/begin/sample', 200, 403, 403, 403, 401],
    'import' => ['GET', '/term/import', 200, 403, 403, 403, 401],
    'import.store' => ['POST', '/term/import', 422, 403, 403, 403, 401],
    'import.preview' => ['GET', '/term/import/01J00000000000000000000000', 404, 403, 403, 403, 401],
    'import.take' => ['POST', '/term/import/01J00000000000000000000000', 404, 403, 403, 403, 401],
    'clock' => ['POST', '/clock', 302, 302, 302, 302, 401],
    'sign-out' => ['POST', '/sign-out', 401, 401, 401, 401, 401],
    'sign-in' => ['GET', '/sign-in', 302, 302, 302, 302, 200],
    'sign-in.store' => ['POST', '/sign-in', 302, 302, 302, 302, 422],
    'sign-in.demo' => ['POST', '/sign-in/demo', 302, 302, 302, 302, 404],
    'join' => ['GET', '/join', 200, 200, 200, 200, 401],
    'join.find' => ['POST', '/join', 422, 422, 422, 422, 401],
    'door' => ['GET', '/join/AAAAAAAAAAAAAAAAAAAAAAAAAAA', 404, 404, 404, 404, 401],
    'door.ask' => ['POST', '/join/AAAAAAAAAAAAAAAAAAAAAAAAAAA/pass', 404, 404, 404, 404, 404],
    'door.enter' => ['POST', '/join/AAAAAAAAAAAAAAAAAAAAAAAAAAA', 404, 404, 404, 404, 401],
    'door.look' => ['GET', '/join/AAAAAAAAAAAAAAAAAAAAAAAAAAA/look', 403, 403, 403, 403, 403],
    'feed' => ['GET', '/feeds/AAAAAAAAAAAAAAAAAAAAAAAAAAA.ics', 404, 404, 404, 404, 404],
];

test('each role gets what is theirs', function (string $name) {
    $this->school();
    $run = Run::query()->create([
        'kind' => 'links',
        'started_by' => Person::query()->where('sourced_id', 'A-1')->value('id'),
        'app_time' => now(),
    ]);
    [$method, $path] = ROUTES[$name];
    $series = $this->section('MAR')->series()->firstOrFail();
    $plan = Nomada\App\Models\Timetable\HostingPlan::query()->create([
        'name' => 'Small',
        'seats' => 30,
        'minutes' => 60,
        'at_once' => 1,
    ]);
    $account = str_contains($path, '{account}')
        ? Nomada\App\Models\Timetable\HostAccountRow::query()->create([
            'name' => 'Host',
            'hosting_plan_id' => $plan->id,
        ])->id
        : 0;
    $room = str_contains($path, '{room}')
        ? Nomada\App\Models\Joining\DropInRoom::query()->create([
            'section_id' => $series->section_id,
            'uid' => 'u',
            'name' => 'Office hours',
            'hours' => [[2, 900, 960]],
            'secret' => 's',
            'secret_hash' => 's',
            'join_code' => 'c',
            'room' => 'r',
            'dial_in' => 'd',
            'pin' => 'p',
        ])->id
        : 0;
    $path = strtr($path, [
        '{room}' => (string) $room,
        '{later}' => (string) $series->sessions()->orderByDesc('starts_at')->value('id'),
        '{registration}' => (string) (str_contains($path, '{registration}')
            ? Nomada\App\Models\Registration\Registration::query()->create([
                'series_id' => $series->id,
                'person_id' => Person::query()->where('sourced_id', 'S-2')->value('id'),
                'state' => 'waiting',
                'came_by' => 'own',
                'typed_name' => 'A Name',
            ])->id
            : 0),
        '{change}' => (string) Nomada\App\Models\Term\TermChange::query()->create([
            'term_id' => $series->section->term_id,
            'at' => now(),
            'words' => 'x',
            'before' => [],
            'after' => [],
        ])->id,
        '{import}' => (string) (Nomada\App\Models\Term\SchoolImport::query()->value('id') ?? 0),
        '{result}' => (string) Nomada\App\Models\Joining\ActResult::query()->create([
            'act' => 'hide',
            'lines' => [],
            'at' => now(),
        ])->id,
        '{recording}' => (string) (str_contains($path, '{recording}') ? recordingOf($series) : 0),
        '{plan}' => (string) $plan->id,
        '{account}' => (string) $account,
        '{term}' => (string) Nomada\App\Models\Term\Term::query()->value('id'),
        '{series}' => (string) $series->id,
        '{session}' => (string) $series->sessions()->value('id'),
        '{run}' => $run->id,
        '{placement}' => (string) Nomada\App\Models\Publishing\Placement::query()->firstOrCreate(
            ['place' => 'course-page', 'key' => 'MAR/x'],
            ['section_id' => $series->section_id, 'label' => 'x'],
        )->id,
        '{added}' => (string) (str_contains($path, '{added}')
            ? DB::table('foreign_items')->insertGetId([
                'section_id' => $series->section_id,
                'place' => 'course-page',
                'key' => 'MAR/list',
                'title' => 'List',
                'found_at' => now(),
            ])
            : 0),
        '{closure}' => (string) Nomada\App\Models\Term\ClosedRange::query()->value('id'),
    ]);
    // The coordinator last: what may be deleted is still there for the others to be refused.
    foreach (array_reverse(['A-1', 'T-2', 'T-1', 'S-1', null], true) as $i => $who) {
        auth()->logout();
        $body = in_array($name, ['links.store', 'rosters.store', 'publishing.choose', 'publishing.store'], true)
            ? ['sections' => ['MAR']]
            : [];
        $this->flushSession();
        $answer = ($who === null ? $this : $this->as($who))->call($method, $path, $body);
        expect(whatCame($answer))->toBe(ROUTES[$name][$i + 2], "$name as ".($who ?? 'nobody'));
    }
})->with(array_keys(ROUTES));

/** A recording that is ready, in one part. */
function recordingOf(Nomada\App\Models\Timetable\Series $series): int
{
    $recording = Nomada\App\Models\Presence\Recording::query()->create([
        'session_id' => $series->sessions()->value('id'),
        'state' => 'ready',
        'started_at' => now(),
        'milliseconds' => 60_000,
    ]);
    Illuminate\Support\Facades\DB::table('recording_segments')->insert([
        'recording_id' => $recording->id,
        'n' => 1,
        'from_ms' => 0,
        'to_ms' => 60_000,
    ]);

    return $recording->id;
}

/** The status, where a redirect tells three things: 401 leads to the sign-in, 422 carries faults, 302 is done. */
function whatCame(TestResponse $answer): int
{
    return match (true) {
        $answer->getStatusCode() !== 302 => $answer->getStatusCode(),
        $answer->headers->get('Location') === route('sign-in') => 401,
        session()->has('errors') => 422,
        default => 302,
    };
}

test('no route is left out of this table', function () {
    $ours = collect(Route::getRoutes()->getRoutes())
        ->filter(fn ($r) => str_starts_with((string) $r->getActionName(), 'Nomada\\'))
        ->map(fn ($r) => $r->getName())
        ->values()
        ->all();

    expect(array_diff($ours, array_keys(ROUTES)))->toBe([]);
});

test('a teacher sees only their own sections, in the lists as well', function () {
    $this->school();
    $lists = [
        '/',
        '/joining',
        '/registration',
        '/records',
        '/publishing?show=all',
        '/today',
        '/timetable?by=section',
    ];
    foreach ($lists as $path) {
        $this->as('T-2')->get($path)->assertOk()->assertSee('Marine Science')->assertDontSee('Spanish Language');
    }
    expect($this->as('T-2')->getJson('/find?q=spanish')->json('found'))
        ->toBe([])
        ->and($this->as('T-2')->getJson('/find?q=Piñeiral')->json('found'))
        ->toBe([]);
});

test('a bulk act with one foreign section among them does nothing at all', function () {
    $this->school();

    $this->as('T-2')
        ->post('/registration/rosters', ['sections' => ['MAR', 'SPA']])
        ->assertForbidden();
    expect(Nomada\App\Models\Registration\Registration::query()->count())->toBe(0);
});
