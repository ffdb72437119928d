<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

use Nomada\Core\Fault;
use Nomada\Core\Term\LocalDate;

/**
 * A list of topics laid over a series' sessions in order. A session's title is its topic.
 *
 * When a session is lost, moved or added, the topics behind it move along with the sessions that are held, or stay with
 * their dates.
 */
final class Topics
{
    public const MOST = 400;

    /**
     * Reads a pasted list, one topic a line; numbers and bullets in front are taken off.
     *
     * @return list<string>
     *
     * @throws Fault
     */
    public static function read(string $pasted): array
    {
        $out = [];
        foreach (preg_split('/\R/u', $pasted) ?: [] as $n => $line) {
            $topic = trim((string) preg_replace('/^\s*(?:\d{1,3}[.)]\s+|[-*•–]\s+)/u', '', $line));
            if ($topic === '') {
                continue;
            }
            if (mb_strlen($topic) > 200) {
                throw new Fault('topics.line', 'topics', ['n' => $n + 1]);
            }
            $out[] = $topic;
        }
        if (count($out) > self::MOST) {
            throw new Fault('topics.most', 'topics', ['n' => self::MOST]);
        }

        return $out;
    }

    /**
     * Lays the topics over sessions, in order of time. Sessions that have begun keep the topic that they had.
     *
     * @param  list<string>  $topics
     * @param  list<PlannedSession>  $sessions
     * @param  bool  $move  whether a session that is not held leaves its topic to the next one; otherwise a topic
     *   stays with its date
     * @param  bool  $fresh  whether the list has just been pasted: dates then get their topics in order
     * @param  bool  $all  with a fresh list: whether it begins with the first session instead of the next
     * @return list<PlannedSession>
     */
    public static function lay(
        array $topics,
        array $sessions,
        bool $move,
        int $now,
        bool $fresh = false,
        bool $all = false,
    ): array {
        if (! $move && ! $fresh) {
            return $sessions;
        }
        $out = [];
        // A corrected list goes on where it is; a new one begins with the next session.
        $left = array_slice($topics, $all ? 0 : self::used($topics, $sessions, $now));
        foreach ($sessions as $session) {
            if ($session->start <= $now && ! ($fresh && $all)) {
                $out[] = $session;
            } else {
                $isHeld = $session->state === SessionState::Planned || $session->own?->keepsTopic === true;
                $takes = $isHeld && $session->own?->takesTopic !== false;
                $out[] = self::with($session, $takes ? array_shift($left) : null);
            }
        }

        return $out;
    }

    /**
     * How many topics the sessions that have begun have used up.
     *
     * @param  list<string>  $topics
     * @param  list<PlannedSession>  $sessions
     */
    private static function used(array $topics, array $sessions, int $now): int
    {
        $used = 0;
        foreach ($sessions as $session) {
            $topic = $session->start <= $now ? $session->own?->topic : null;
            // Searched from where the last one was found: a topic may stand twice in the list.
            $at = $topic === null ? false : array_search($topic, array_slice($topics, $used), true);
            $used += $at === false ? 0 : (int) $at + 1;
        }

        return $used;
    }

    /**
     * How many topics find no session.
     *
     * @param  list<PlannedSession>  $sessions
     */
    public static function leftOver(int $topics, array $sessions): int
    {
        return max(
            0,
            $topics -
                count(array_filter($sessions, fn (PlannedSession $s): bool => $s->state === SessionState::Planned)),
        );
    }

    private static function with(PlannedSession $session, ?string $topic): PlannedSession
    {
        $own = ($session->own ?? new SessionOverrides())->withTopic($topic);

        return $session->with($own->isEmpty() ? null : $own);
    }

    /** `Tue 9 Feb: Tides`, for lists. */
    public static function line(PlannedSession $session): string
    {
        return (new LocalDate($session->day))->short().
            ': '.
            ($session->own->title ?? ($session->own->topic ?? ''));
    }
}
