{{-- One series with its link and its door. row: SeriesRow --}}
<tr class="row-c" data-row="{{ $row->id }}">
    <td>@include('components.choose', ['name' => 'series', 'value' => $row->id, 'row' => $row->name, 'more' => $row->title])</td>
    <td><a
            href="{{ $page->doors->to($row->section, $row->id) }}"><b>{{ $row->name }}</b></a>{{ $row->title === '' ? ''
                : ": $row->title" }}
        <small>{{ $row->meets }}</small>
    </td>
    <td class="nowrap">
        @if (!$row->hasLink())
            <span class="todo">{{ __('joining.list.no_link') }}</span>
        @else
            <span class="mono">{{ $row->code() }}</span> @include('components.copy', ['text' => $row->link($page->join)])
            @if ($row->isHidden)
                <span class="todo">{{ __('joining.list.hidden') }}</span>
            @endif
        @endif
    </td>
    <td>{{ Say::put($row->preset->name) }}{{ $row->differs ? __('joining.list.changed') : '' }}
        @if ($row->differs)
            <small>{{ $row->sentence }}</small>
        @endif
        @if ($row->moreOpen !== [])
            <br><span
                class="{{ $row->acceptedBy === null ? 'bad' : 'quiet' }}">{{ __($row->acceptedBy === null ? 'joining.list.more_open'
                    : 'joining.list.more_open_by', [
                    'what' => Say::put(array_values($row->moreOpen)),
                    'name' => $row->acceptedBy,
                ]) }}</span>
        @endif
    </td>
    <td class="num nowrap">{{ __('joining.list.of', ['n' => $row->registered, 'all' => $row->roster]) }}</td>
    <td class="nowrap">{{ $row->account ?? '–' }}</td>
</tr>
