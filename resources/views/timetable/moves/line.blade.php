{{-- One session that moves. line: MoveLine; i: its number from 0 --}}
<tr>
    <td><a href="{{ route('section', $line->session->series->section) }}"><b>{{ $line->name }}</b></a></td>
    <td class="nowrap">{{ $line->now }}</td>
    <td>
        <span class="inline"><input class="form-control day"
                name="moves[{{ $line->session->id }}][day]" autocomplete="off"
                aria-label="{{ __('moves.day_of', ['name' => $line->name]) }}"
                value="{{ \Nomada\App\View\DateText::of($line->day) }}"><input
                class="form-control time" name="moves[{{ $line->session->id }}][start]"
                autocomplete="off" aria-label="{{ __('session.starts_at') }}" value="{{ $line->start }}">–<input
                class="form-control time" name="moves[{{ $line->session->id }}][end]" autocomplete="off"
                aria-label="{{ __('session.ends_at') }}"
                value="{{ $line->end }}"></span>
        @if ($page->fault($i) !== '')
            <div class="invalid" role="alert">{{ $page->fault($i) }}</div>
        @endif
    </td>
    <td>
        @if ($line->session->is_extra)
            <input type="hidden" name="moves[{{ $line->session->id }}][reach]" value="this">{{ __('says.reach.this') }}
        @else
            <select class="form-select" name="moves[{{ $line->session->id }}][reach]" aria-label="{{ __('moves.reach') }}">
                @foreach (\Nomada\Core\Timetable\Reach::cases() as $reach)
                    <option value="{{ $reach->value }}" @selected($reach === $line->reach)>{{ ucfirst(Say::this($reach->said())) }}</option>
                @endforeach
            </select>
        @endif
    </td>
    <td>
        @foreach ($page->preview->effects[$i] ?? [] as $words)
            <small class="d-block">{{ ucfirst($words) }}</small>
        @endforeach
    </td>
    <td><button class="btn btn-plain py-0" name="remove" value="{{ $line->session->id }}"
            formaction="{{ route('moves.preview') }}"
            aria-label="{{ __('moves.remove_this', ['name' => $line->name]) }}">{{ __('moves.remove') }}</button></td>
</tr>
