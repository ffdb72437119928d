{{-- The term, a week a row --}}
<table class="weeks">
    <thead>
        <tr>
            <th class="wk" scope="col">{{ __('term.week') }}</th>
            @foreach ($page->weeks[0]->days as $day)
                <th scope="col">{{ \Nomada\Core\Term\LocalDate::dayName($day->date->weekday()) }}</th>
            @endforeach
        </tr>
    </thead>
    <tbody>
        @foreach ($page->weeks as $week)
            <tr>
                <th scope="row">{{ $week->n }} · {{ $week->monday->dayMonth() }}
                    @if ($week->rotation !== null)
                        <span class="rot">{{ $week->rotation }}</span>
                    @endif
                    @if ($week->change !== null)
                        <br><span
                            class="todo">{{ __($week->change->isForward ? 'term.clocks_forward' : 'term.clocks_back', [
                                'day' => $week->change->on->short(),
                            ]) }}</span>
                    @endif
                </th>
                @foreach ($week->days as $day)
                    @include('term.term.day')
                @endforeach
            </tr>
        @endforeach
    </tbody>
</table>
