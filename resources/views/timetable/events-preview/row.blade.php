{{-- One event, and as what it is taken. row: EventRow; n: its number in the file --}}
<tr>
    <td><b>{{ $row->event->summary === '' ? __('events.no_summary') : Str::limit($row->event->summary, 60) }}</b>
        @if ($row->event->categories !== [])
            <br><small>{{ implode(', ', array_slice($row->event->categories, 0, 4)) }}</small>
        @endif
    </td>
    <td>{{ $row->event->plan === null ? __('events.whole_days') : Say::this($row->event->plan->said()) }}
        @if ($row->place !== '')
            <br><small>{{ __('series.times.of', ['place' => $row->place]) }}</small>
        @endif
    </td>
    <td>
        @if ($row->event->plan === null)
            {{ trans_choice('events.days', count($row->event->sessions)) }}
        @else
            <x-joined :of="[trans_choice('count.sessions', $row->held), $row->lost === 0 ? '' : __('section.lost', ['n' => $row->lost])]" />
        @endif
        @foreach ($row->event->warnings as $warning)
            <br><small class="todo">{{ \Nomada\App\Support\FaultWords::of($warning) }}</small>
        @endforeach
        @if ($row->state !== 'new')
            <br><small>{{ __("events.states.$row->state") }}</small>
        @endif
    </td>
    <td>
        <select class="form-select w-auto" name="choice[{{ $n }}]"
            aria-label="{{ __('events.as', ['event' => $row->event->summary]) }}">
            @if ($row->event->plan !== null)
                @foreach ($row->candidates as $id => $name)
                    <option value="{{ $id }}" @selected($row->choice === (string) $id)>{{ $name }}</option>
                @endforeach
                @foreach ($page->sections as $id => $name)
                    @continue(isset($row->candidates[$id]))
                    <option value="{{ $id }}">{{ $name }}</option>
                @endforeach
            @endif
            @if ($page->teacher !== null)
                <option value="busy" @selected($row->choice === 'busy')>
                    {{ __('events.busy', ['name' => $page->teacher->shortName()]) }}</option>
            @endif
            <option value="leave" @selected($row->choice === 'leave')>
                {{ count($row->candidates) > 1 ? __('events.choose', ['n' => count($row->candidates)]) : __('events.leave') }}</option>
        </select>
    </td>
</tr>
