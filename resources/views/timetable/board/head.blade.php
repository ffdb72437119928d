{{-- The columns of the board, with the weeks of the term --}}
<colgroup>
    @foreach (['c-pick', 'c-section', 'c-line', 'c-link', 'c-reg', 'c-place', 'c-place', 'c-place', ''] as $class)
        <col class="{{ $class }}">
    @endforeach
</colgroup>
<thead>
    <tr>
        <th scope="col"><input class="form-check-input" type="checkbox" x-ref="all" x-on:change="chooseAll"
                aria-label="{{ __('board.choose_all') }}"></th>
        <th scope="col">{{ __('board.columns.section') }}</th>
        <th scope="col"><svg class="line" width="{{ $page->line->width }}" height="20" role="img"
                aria-label="{{ __('section.weeks') }}">
                @foreach ($page->line->labels() as $label)
                    <text x="{{ $label['x'] }}" y="16">{{ $label['text'] }}</text>
                @endforeach
            </svg>
        </th>
        @foreach (['link', 'registered', 'page', 'calendar', 'stream', 'issues'] as $column)
            <th scope="col">{{ __("board.columns.$column") }}</th>
        @endforeach
    </tr>
</thead>
