<?php

declare(strict_types=1);

namespace Nomada\App\Console;

use DateTimeImmutable;
use Illuminate\Console\Command;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Nomada\App\Actions\Joining\DecideAdmission;
use Nomada\App\Models\Term\Person;
use Nomada\App\Queries\LinkLookup;
use Nomada\App\Support\AdmissionWords;
use Nomada\App\Support\Clock;
use Nomada\Core\Fault;
use Nomada\Core\Joining\JoinCode;

final class DoorCommand extends Command
{
    use HasTables;

    protected $signature =
        'nomada:check-link {--link= : the link, its secret, or a join code} {--at= : a moment, as in '.
        '2027-02-09T09:52; now by default} {--person= : sourcedId; a guest where none is given} {--json}';

    /** @var list<string> the name until version 0.1.0 */
    protected $aliases = ['nomada:door'];

    protected $description = 'Show whether a link admits a person at a given time, and why';

    public function handle(LinkLookup $links, DecideAdmission $decide, Clock $clock): int
    {
        $given = (string) $this->option('link');
        $person =
            $this->option('person') === null
                ? null
                : Person::query()->where('sourced_id', $this->option('person'))->first();
        try {
            $secret = JoinCode::read($given) === null ? basename($given) : $links->secretOf($given);
            $link = $links->find($secret);
        } catch (Fault|ModelNotFoundException) {
            $this->components->error((string) __('console.door.no_link'));

            return self::FAILURE;
        }
        if ($this->option('person') !== null && $person === null) {
            $this->components->error((string) __('console.door.nobody'));

            return self::FAILURE;
        }
        $zone = $decide($link, $secret, $person, askBridge: false)->zone;
        try {
            $at =
                $this->option('at') === null
                    ? $clock->seconds()
                    : (new DateTimeImmutable(
                        (string) $this->option('at'),
                        new \DateTimeZone($zone->name),
                    ))->getTimestamp();
        } catch (\Exception) {
            $this->components->error((string) __('console.door.moment'));

            return self::FAILURE;
        }
        // The room itself is not asked: this is what the rules say, with a host inside.
        $answer = $decide($link, $secret, $person, at: $at, askBridge: false)->decision;
        $out = [
            'reply' => $answer->reply->value,
            'opens' => $answer->reply->opens(),
            'as_host' => $answer->asHost,
            'session' => $answer->session === null ? null : $zone->iso($answer->session->start),
            'doors_open_at' => $answer->opensAt === null ? null : $zone->iso($answer->opensAt),
            'next' => $answer->next === null ? null : $zone->iso($answer->next->start),
            'why' => (new AdmissionWords($zone, $zone, $at))->why($answer),
        ];
        $this->option('json')
            ? $this->output->writeln((string) json_encode($out))
            : $this->drawTable(
                ['what', 'answer'],
                array_map(
                    fn (string $k, mixed $v): array => [$k, is_bool($v) ? $this->yesOrNo($v) : $v],
                    array_keys($out),
                    $out,
                ),
            );

        return self::SUCCESS;
    }
}
