{{-- The term, a week a row --}}
<table class="weeks">
    <thead>
        <tr>
            <th class="wk" scope="col">{{ __('term.week') }}</th>
            @foreach ($page->grid->weeks[0]->days as $day)
                <th scope="col">{{ Say::weekday($day->date->weekday()) }}</th>
            @endforeach
        </tr>
    </thead>
    <tbody>
        @foreach ($page->grid->weeks as $week)
            <tr>
                <th scope="row">{{ $week->n }} · {{ Say::dayMonth($week->monday) }}
                    @if ($week->rotation !== null)
                        <span class="rot">{{ $week->rotation }}</span>
                    @endif
                    @if ($week->change !== null)
                        <br><span
                            class="todo">{{ __($week->change->isForward ? 'term.clocks_forward' : 'term.clocks_back', [
                                'day' => Say::day($week->change->on),
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
