{{-- The contact time of one section. row: ContactRow --}}
<tr class="row-c" data-row="{{ $row->id }}">
    @if ($page->mayChange)
        <td>@include('components.choose', ['name' => 'sections', 'value' => $row->id, 'row' => $row->name])</td>
    @endif
    <td><a href="{{ route('section', $row->id) }}"><b>{{ $row->name }}</b></a> <small>{{ $row->teacher }}</small></td>
    <td><x-contact-bar :bar="$row->bar()" bare /></td>
    @foreach ($row->figures() as $column => $words)
        @if ($column === 'short')
            <td class="num {{ $row->isShort() ? 'todo' : 'good' }}">
                {{ $row->time->target === null || $row->isShort() ? $words : __('contact.not_short') }}</td>
        @else
            <td class="num">{{ $words }}</td>
        @endif
    @endforeach
</tr>
