@php $name = (string) request()->route()?->getName(); @endphp
<details class="more">
    <summary class="pill">More ▾</summary>
    <div class="drop">
        <a href="{{ route('clashes') }}">Clashes</a><a href="{{ route('contact-time') }}">Contact time</a>
        @can('coordinate')
            <a href="{{ route('licences') }}">Licences</a><a href="{{ route('make-ups') }}">To be made up</a><a href="{{ route(
                'events') }}">Read
                calendars…</a>
        @endcan
        @if ($name === 'timetable')
            <a href="{{ route('timetable.sheets', request()->query()) }}">{{ __('week.sheets.open') }}</a>
            <button class="btn btn-plain" type="button" x-data="printer" x-on:click="print">{{ __('week.sheets.one') }}</button>
        @endif
    </div>
</details>
