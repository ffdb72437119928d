{{-- Each section's sums of the term. page: Records --}}
<h2 class="mt-4">{{ __('presence.records.sums') }}</h2>
<table class="table-plain" x-data="rows" data-rows="{{ route('records.rows') }}">
    <thead>
        <tr>
            <th scope="col">{{ __('presence.records.section') }}</th>
            @foreach (['planned', 'held', 'lost', 'made_up', 'came', 'absences'] as $head)
                <th scope="col" class="num">{{ __("presence.records.$head") }}</th>
            @endforeach
            <th scope="col">{{ __('presence.records.left') }}</th>
        </tr>
    </thead>
    <tbody>
        @foreach ($page->whole() as $row)
            @include('presence.records.section')
        @endforeach
        @include('stubs', ['stubs' => $page->stubs()])
    </tbody>
</table>
