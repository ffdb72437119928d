{{-- One series, and how many of its roster are registered. row: SeriesRow --}}
<tr data-row="{{ $row->id }}">
    <td>@include('components.choose', ['name' => 'sections', 'value' => $row->section, 'row' => $row->name])</td>
    <td><a href="{{ $page->sections->to($row->section) }}"><b>{{ $row->name }}</b></a>{{ $row->title === '' ? '' : ': ' . $row->title }}
    </td>
    <td class="num">{{ $row->roster }}</td>
    <td class="num">{{ $row->registered }}</td>
    <td>
        @if ($row->registered < $row->roster)
            <span class="todo">{{ __('registration.rosters.n_left', ['n' => $row->roster - $row->registered]) }}</span>
        @else
            <span class="ok">{{ __('registration.rosters.nothing') }}</span>
        @endif
    </td>
    <td><a
            href="{{ $page->doors->to($row->section, $row->id) }}#registering">{{ $row->registering ?? __(
                'registration.rosters.follows') }}</a>
    </td>
</tr>
