<?php

declare(strict_types=1);

namespace Nomada\Core\Interchange\Calendar;

use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Component\VEvent;
use Sabre\VObject\Parameter;
use Sabre\VObject\Property;
use Sabre\VObject\Property\ICalendar\DateTime as Moments;
use Sabre\VObject\Reader;
use Throwable;

/** One answer to an invitation: of whom, to which series, or to which one session of it. */
final readonly class Reply
{
    /**
     * @param  string  $address  of the person who answers, in small letters
     * @param  int|null  $session  UTC seconds of the one session that it is about; null for the series
     * @param  int  $at  UTC seconds at which it was given; of two the later one counts
     */
    public function __construct(
        public string $uid,
        public string $address,
        public Answer $answer,
        public ?int $session,
        public int $at,
    ) {
    }

    /**
     * The answers of an iTIP message with METHOD:REPLY (RFC 5546, 3.2.3).
     *
     * @return list<self>|null null where it is no reply
     */
    public static function read(string $text): ?array
    {
        return self::answers($text, fn (VCalendar $c): bool => strtoupper((string) $c->__get('METHOD')) === 'REPLY');
    }

    /**
     * What a person has answered in their own calendar, where the object that is there says so.
     *
     * @return list<self>
     */
    public static function standing(string $object, string $address): array
    {
        return array_values(
            array_filter(
                self::answers($object, fn (): bool => true) ?? [],
                fn (self $r): bool => $r->address === mb_strtolower($address),
            ),
        );
    }

    /**
     * @param  callable(VCalendar): bool  $isOne
     * @return list<self>|null
     */
    private static function answers(string $text, callable $isOne): ?array
    {
        return Quietly::do(function () use ($text, $isOne): ?array {
            try {
                $calendar = Reader::read($text);
                if (! ($calendar instanceof VCalendar) || ! $isOne($calendar)) {
                    return null;
                }
                $out = [];
                foreach ($calendar->select('VEVENT') as $event) {
                    if ($event instanceof VEvent) {
                        array_push($out, ...self::ofEvent($event));
                    }
                }
            } catch (Throwable) {
                return null;
            }

            return $out;
        });
    }

    /** @return list<self> */
    private static function ofEvent(VEvent $event): array
    {
        $at = $event->__get('DTSTAMP');
        $session = $event->__get('RECURRENCE-ID');
        $out = [];
        foreach ($event->select('ATTENDEE') as $attendee) {
            if (! ($attendee instanceof Property)) {
                continue;
            }
            $said = $attendee->offsetGet('PARTSTAT');
            $answer = $said instanceof Parameter ? Answer::tryFrom(strtolower((string) $said->getValue())) : null;
            $address = mb_strtolower((string) preg_replace('/^mailto:/i', '', trim((string) $attendee)));
            if ($answer !== null && $address !== '' && (string) $event->__get('UID') !== '') {
                $out[] = new self(
                    (string) $event->__get('UID'),
                    $address,
                    $answer,
                    $session instanceof Moments ? $session->getDateTime()->getTimestamp() : null,
                    $at instanceof Moments ? $at->getDateTime()->getTimestamp() : 0,
                );
            }
        }

        return $out;
    }
}
