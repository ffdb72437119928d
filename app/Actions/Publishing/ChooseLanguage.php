<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Publishing;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Person;

/** In which language somebody reads; what is in their calendar follows with the next run. */
final readonly class ChooseLanguage
{
    /** @param  string|null  $language  BCP 47; null for as the roster or the browser says */
    public function __invoke(Person $person, ?string $language): void
    {
        DB::transaction(function () use ($person, $language): void {
            $person->update(['language' => $language]);
            $sections = DB::table('memberships')->where('person_id', $person->id)->distinct()->pluck('section_id');
            RefreshSections::later($sections);
        });
    }
}
