<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Registration;

use Illuminate\Support\Facades\DB;
use Nomada\Core\Interchange\Calendar\MailedCalendar;
use Nomada\Core\Interchange\Calendar\Reply;

/**
 * Keeps what invited people have answered: by mail (iTIP), or in their own calendars. Of several answers the latest
 * counts, whatever comes first; the same one again changes nothing. An answer of an address that was never invited says
 * nothing.
 */
final readonly class TakeReplies
{
    /** The longest message that is read, in bytes. */
    public const MOST = 1_000_000;

    /**
     * An answer counts for its sender only: the attendee it names has to be the sender of the
     * message (RFC 5546, 3.2.3: a reply is about the one attendee who sends it).
     *
     * @param  string  $message  a whole mail message
     * @return int|null how many answers were new; null where it is no reply, or nobody's own
     */
    public function message(string $message): ?int
    {
        $calendar = MailedCalendar::in($message);
        $sender = MailedCalendar::sender($message);
        $replies = array_values(
            array_filter(
                ($calendar === null ? null : Reply::read($calendar)) ?? [],
                fn (Reply $r): bool => $sender !== null && self::untagged($r->address) === self::untagged($sender),
            ),
        );

        return $replies === [] ? null : $this->keep($replies);
    }

    /** An email address without what is after a plus in it, which is the same mailbox. */
    private static function untagged(string $address): string
    {
        return (string) preg_replace('/\+[^@]*(?=@)/', '', mb_strtolower($address));
    }

    /** What is in somebody's calendar. */
    public function standing(string $person, string $object): int
    {
        $address = DB::table('people')->where('sourced_id', $person)->value('email');

        return $address === null ? 0 : $this->keep(Reply::standing($object, $address));
    }

    /** @param  list<Reply>  $replies */
    private function keep(array $replies): int
    {
        $n = 0;
        // A stamp from the future counts as now, or it would beat every later answer.
        $now = time();
        foreach ($replies as $reply) {
            $n += DB::affectingStatement(
                'insert into invitation_responses (series_id, person_id, session_at, answer, at, session_id)
                    select series.id, people.id, m.at, ?, to_timestamp(?), (
                        select s.id from sessions s where s.series_id = series.id and (s.starts_at = m.at
                                or coalesce(s.moved_from, s.day) = (m.at at time zone series.time_zone)::date)
                            order by (s.starts_at = m.at) desc limit 1)
                    from series, people, (select to_timestamp(?) as at) m
                    where series.uid = ? and lower(people.email) = ? and exists (
                        select 1 from emails l where l.series_id = series.id and l.person_id = people.id
                        union all select 1 from registrations r where r.series_id = series.id and r.person_id =
                            people.id
                        union all select 1 from memberships p join series_sections s using (section_id)
                            where s.series_id = series.id and p.person_id = people.id)
                    on conflict (series_id, person_id, session_at) do update
                        set answer = excluded.answer, at = excluded.at
                        where invitation_responses.at < excluded.at',
                [$reply->answer->value, min($reply->at, $now), $reply->session ?? 0, $reply->uid, $reply->address],
            );
        }

        return $n;
    }
}
