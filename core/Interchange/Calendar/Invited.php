<?php

declare(strict_types=1);

namespace Nomada\Core\Interchange\Calendar;

/**
 * A calendar object as an organizer keeps it who invites one person (RFC 6638, 3.2): each of its events names both, and
 * a server that schedules brings it into that person's own calendar and their answer back.
 */
final class Invited
{
    /**
     * @param  string  $object  as CalendarWriter writes it
     * @param  string  $answer  what they have answered so far (RFC 5545, 3.2.12), `NEEDS-ACTION` where nothing
     */
    public static function of(string $object, Invitee $to, string $answer = 'NEEDS-ACTION'): string
    {
        $lines =
            self::fold('ORGANIZER;CN='.self::quoted($to->organizer).":mailto:$to->organizerAddress").
            self::fold(
                'ATTENDEE;CN='.
                    self::quoted($to->name).
                    ";PARTSTAT=$answer".
                    ($answer === 'NEEDS-ACTION' ? ';RSVP=TRUE' : '').
                    ":mailto:$to->address",
            );

        return str_replace("\r\nEND:VEVENT\r\n", "\r\n{$lines}END:VEVENT\r\n", $object);
    }

    /** A parameter's text (RFC 5545, 3.1; RFC 6868): in quotation marks, without what would end it. */
    private static function quoted(string $text): string
    {
        $plain = strtr($text, ['^' => '^^', '"' => "^'", "\n" => '^n', "\r" => '']);

        return "\"$plain\"";
    }

    /** A line in pieces of at most 75 octets, none cut within a letter (RFC 5545, 3.1). */
    private static function fold(string $line): string
    {
        $out = '';
        for ($most = 75; strlen($line) > $most; $most = 74) {
            $piece = mb_strcut($line, 0, $most);
            $out .= "$piece\r\n ";
            $line = substr($line, strlen($piece));
        }

        return "$out$line\r\n";
    }
}
