<?php

declare(strict_types=1);

namespace Nomada\App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Nomada\App\View\Timetable\Moves\MoveLine;
use Nomada\Core\Fault;
use Nomada\Core\Term\Term;
use Nomada\Core\Term\TypedDate;
use Nomada\Core\Timetable\Move;
use Nomada\Core\Timetable\MoveSet;
use Nomada\Core\Timetable\TypedSpan;

/** Several sessions with their new days and times, as they are typed on one page. */
final class MovesRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'moves' => ['nullable', 'array', 'max:'.MoveSet::MOST],
            'moves.*' => ['array'],
            'moves.*.day' => ['nullable', 'string', 'max:40'],
            'moves.*.start' => ['nullable', 'string', 'max:20'],
            'moves.*.end' => ['nullable', 'string', 'max:20'],
            'moves.*.reach' => ['nullable', 'in:this,later,whole'],
            'add' => ['nullable', 'string', 'max:60'],
            'remove' => ['nullable', 'integer'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'moves.max' => (string) __('staff_faults.moves.many', ['n' => MoveSet::MOST]),
            'moves.*.reach.*' => (string) __('said.move_session.choose_how_far'),
            'moves.*.day.*' => (string) __('said.move_session.choose_day_moves'),
            'moves.*.start.*' => (string) __('said.move_session.write_when_starts'),
            'moves.*.end.*' => (string) __('said.move_session.write_when_ends'),
            'add.*' => (string) __('said.moves.write_code'),
        ];
    }

    /** The form itself: the page that it was sent from may be a preview, which nobody can go back to. */
    protected function getRedirectUrl(): string
    {
        return route('moves', ['sessions' => array_keys(array_slice((array) $this->input('moves', []), 0, 20, true))]);
    }

    /** @return array<int, array<string, string>> by id of the session; without the one that is removed */
    public function typed(): array
    {
        $out = [];
        foreach ((array) $this->validated('moves') as $id => $move) {
            if (is_numeric($id) && (int) $id !== $this->integer('remove')) {
                $out[(int) $id] = array_map(strval(...), array_filter((array) $move, is_scalar(...)));
            }
        }

        return $out;
    }

    /**
     * @param  list<MoveLine>  $lines
     *
     * @throws Fault with the number of its line as the field (`moves.0`), or `moves`
     */
    public static function set(array $lines, Term $term): MoveSet
    {
        if ($lines === []) {
            throw new Fault('moves.empty', 'moves');
        }
        $moves = [];
        foreach ($lines as $i => $line) {
            try {
                $span = TypedSpan::read($line->start, $line->end, asks: false);
                $moves[] = new Move(
                    $line->session->id,
                    $line->session->series_id,
                    TypedDate::read($line->day, $term->first, $term->last, 'day'),
                    $span->start,
                    $span->minutes(),
                    $line->reach,
                );
            } catch (Fault $e) {
                throw $e->at("moves.$i");
            }
        }

        return new MoveSet($moves);
    }
}
