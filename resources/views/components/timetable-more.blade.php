{{-- What else there is of the timetable; week: whether the week stands here and can be printed --}}
@props(['week' => false])
<details class="more">
    <summary class="pill">{{ __('week.more.title') }} ▾</summary>
    <div class="drop">
        <a href="{{ route('clashes') }}">{{ __('clashes.title') }}</a>
        <a href="{{ route('contact-time') }}">{{ __('contact.title') }}</a>
        <a href="{{ route('requests') }}">{{ __('requests.title') }}</a>
        <a href="{{ route('wishes') }}">{{ __('wishes.title') }}</a>
        @can('coordinate')
            <a href="{{ route('fix', 'place') }}">{{ __('fix.place.title') }}</a>
            <a href="{{ route('drafts') }}">{{ __('drafts.title') }}</a>
            <a href="{{ route('own-hours') }}">{{ __('own_hours.title') }}</a>
            <a href="{{ route('rights') }}">{{ __('rights.title') }}</a>
            <a href="{{ route('licences') }}">{{ __('licences.title') }}</a>
            <a href="{{ route('make-ups') }}">{{ __('term.make_ups.title') }}</a>
            <a href="{{ route('events') }}">{{ __('week.more.calendars') }}</a>
        @endcan
        @if ($week)
            <a href="{{ route('timetable.sheets', request()->query()) }}">{{ __('week.sheets.open') }}</a>
            <button class="btn btn-plain" type="button" x-data="printer" x-on:click="print">{{ __('week.sheets.one') }}</button>
        @endif
    </div>
</details>
