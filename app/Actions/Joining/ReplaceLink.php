<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Joining;

use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Publishing\RefreshPlacements;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Post\Letters;
use Nomada\App\Support\Clock;
use Nomada\App\Support\Secrets;
use Nomada\Core\Fault;
use Nomada\Core\Joining\JoinCode;
use Nomada\Core\Joining\LinkKind;
use Nomada\Core\Language\Said;

/**
 * Replaces links: the old ones die at once, and every placement that carries them is stale, so that the next publish
 * run fixes all of them. A retired link tells its holder where the new one is found, and nothing else.
 */
final readonly class ReplaceLink
{
    public function __construct(
        private Clock $clock,
        private KeepLink $keep,
        private Audit $audit,
        private RefreshPlacements $refresh,
        private Letters $letters,
    ) {
    }

    /**
     * The series link with its join code and short address, the host link, and every personal link.
     *
     * @return int how many were replaced
     *
     * @throws Fault if there is none yet
     */
    public function all(Series $series, ?Person $by): int
    {
        return DB::transaction(function () use ($series, $by): int {
            DB::table('series')->where('id', $series->id)->lock('for no key update')->first();
            $links = JoinLink::query()
                ->inForce()
                ->where('series_id', $series->id)
                ->where('kind', '!=', LinkKind::Guest)
                ->with('person')
                ->get();
            if ($links->isEmpty()) {
                throw new Fault('link.none', 'link');
            }
            foreach ($links as $link) {
                $this->one($link);
            }
            ($this->audit)('link', $series, $by, new Said('audit.replaced', ['n' => $links->count()]));
            ($this->refresh)($series->sectionIds());

            return $links->count();
        });
    }

    /** One link only: a personal link that was passed on. */
    public function single(JoinLink $link, ?Person $by): JoinLink
    {
        return DB::transaction(function () use ($link, $by): JoinLink {
            $new = $this->one(JoinLink::query()->with('person')->lock('for no key update')->findOrFail($link->id));
            ($this->audit)(
                'link',
                $link->series,
                $by,
                new Said($link->person === null ? 'audit.replaced_one' : 'audit.replaced_of', [
                    'link' => $link->kind->said(),
                    'person' => (string) $link->person?->name(),
                ]),
            );
            ($this->refresh)($link->series->sectionIds());

            return $new;
        });
    }

    /** A guest pass is taken back. */
    public function withdraw(JoinLink $link, ?Person $by): void
    {
        $link->update(['retired_at' => Carbon::createFromTimestamp($this->clock->seconds())]);
        ($this->audit)('link', $link->series, $by, new Said('audit.pass_back', [
            'guest' => (string) $link->guest_name,
        ]));
    }

    private function one(JoinLink $old): JoinLink
    {
        $more = array_filter(
            $old->only(['room', 'dial_in', 'pin', 'is_hidden', 'short_address']),
            fn (mixed $v): bool => $v !== null,
        );
        $old->update([
            'retired_at' => Carbon::createFromTimestamp($this->clock->seconds()),
            'short_address' => null,
        ]);

        $new = JoinLink::query()->create(
            $this->keep->fresh($old->series_id, $old->kind, $old->person_id) +
                $more +
                ($old->join_code === null ? [] : ['join_code' => JoinCode::make(Secrets::random())]),
        );
        // Anybody who held a link of their own is written to; the others find the new one where the old one stood.
        if ($new->kind === LinkKind::Personal) {
            $this->letters->replaced($new->setRelation('person', $old->person));
        }

        return $new;
    }
}
