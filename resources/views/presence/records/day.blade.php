{{-- One day's sessions, one by one. page: Records --}}
<div class="bar thin">
    <h2>{{ __('presence.records.day', ['day' => Say::day($page->day)]) }}</h2>
    @if ($page->wait !== null)
        <div class="sum">
            {{ $page->wait < 60 ? __('presence.records.wait_short') : __('presence.records.wait', ['minutes' => intdiv($page->wait + 59,
                60)]) }}
        </div>
    @endif
    <nav class="end" aria-label="{{ __('presence.columns.day') }}">
        @if ($page->before !== null)
            <a class="pill" href="{{ route('records', ['date' => $page->before->iso()]) }}">‹ {{ Say::day($page->before) }}</a>
        @endif
        @if ($page->after !== null)
            <a class="pill" href="{{ route('records', ['date' => $page->after->iso()]) }}">{{ Say::day($page->after) }} ›</a>
        @endif
    </nav>
</div>
@if ($page->sessions === [])
    <p class="quiet">{{ __('presence.records.no_session') }}</p>
@else
    <table class="table-plain">
        <thead>
            <tr>
                <th scope="col">{{ __('presence.records.time') }}</th>
                <th scope="col">{{ __('presence.records.section') }}</th>
                <th scope="col">{{ __('presence.records.came') }}</th>
                <th scope="col">{{ __('presence.records.absences') }}</th>
                <th scope="col">{{ __('presence.records.recording') }}</th>
                <th scope="col">{{ __('presence.records.left') }}</th>
            </tr>
        </thead>
        <tbody>
            @foreach ($page->sessions as $one)
                @include('presence.records.session', ['one' => $one])
            @endforeach
        </tbody>
    </table>
@endif
