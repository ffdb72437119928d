<?php

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Timetable\Series;
use Tests\Support\ManySections;

function sectionId(string $sourced): int
{
    return (int) Section::query()->where('sourced_id', $sourced)->value('id');
}

function seriesOf(string $sourced): string
{
    return (string) DB::table('series_sections')->where('section_id', sectionId($sourced))->value('series_id');
}

$lists = [
    'joining' => ['/joining', fn (string $of): string => seriesOf($of), 'no link'],
    'registration' => ['/registration', fn (string $of): string => seriesOf($of), 'none'],
    'contact time' => ['/timetable/contact-time', fn (string $of): string => $of, '<svg class="contact"'],
    'records' => ['/records', fn (string $of): string => $of, '<td class="num"></td>'],
];

test('of a long list all rows can be found at once, and what else they say is brought', function (
    string $page,
    Closure $key,
    string $says,
) {
    $this->school();
    ManySections::add('MAR');
    $html = $this->as('A-1')->get($page)->assertOk()->getContent();
    $all = $key('MAR') === 'MAR' ? Section::query()->count() : Series::query()->count();
    expect(substr_count($html, 'data-row='))
        ->toBe(80)
        ->and(substr_count($html, 'data-stub='))
        ->toBe($all - 80)
        ->and($html)
        ->toContain('Extra 100', 'data-stub="'.$key('X-100').'"', 'data-rows="'.url($page).'/rows"');
    $asked = fn (array $rows): string => "$page/rows?".http_build_query(['rows' => $rows]);
    $brought = $this->get($asked([$key('X-100'), 'nothing', '99999999999999999999']))->assertOk()->getContent();
    expect(substr_count($brought, '<tr'))
        ->toBe(1)
        ->and($brought)
        ->toContain('data-row="'.$key('X-100').'"', 'Extra 100', $says)
        ->not->toContain('data-stub', '<html');
    $many = array_map(fn (int $n): string => $key("X-$n"), range(1, 70));
    expect(substr_count($this->get($asked($many))->getContent(), '<tr'))->toBe(60);
})->with($lists);

test('whoever sees a section sees its row, and no other', function (string $page, Closure $key) {
    $this->school();
    $asked = "$page/rows?".http_build_query(['rows' => [$key('MAR'), $key('SPA')]]);
    $this->as('T-2')->get($asked)->assertSee('Marine Science')->assertDontSee('Spanish Language');
})->with($lists);
