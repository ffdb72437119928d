{{-- What did not go, in the destinations' own words --}}
<h2 class="mb-1">{{ __('run.troubles') }}</h2>
<table class="table-plain mb-3">
    <thead>
        <tr>
            @foreach (__('run.trouble_columns') as $words)
                <th scope="col">{{ $words }}</th>
            @endforeach
        </tr>
    </thead>
    <tbody>
        @foreach ($page->troubles as $one)
            <tr>
                <td><a href="{{ route('section', $one->section) }}">{{ $one->name }}</a>
                    @if ($one->sections > 1)
                        <span class="quiet">{{ __('publishing.drift.more', ['n' => $one->sections - 1]) }}</span>
                    @endif
                </td>
                <td>{{ $page->lanes[$one->lane]->title }}</td>
                <td><span class="quiet">{{ __('plan.verbs.' . $one->verb) }}</span> {{ $one->label }}
                    @if ($one->steps > 1)
                        <b class="d-block">{{ trans_choice('publishing.runs.folded', $one->steps) }}</b>
                    @endif
                </td>
                <td>{{ $one->words }}</td>
                <td class="num">{{ $one->tries }}</td>
                <td class="{{ $one->state === 'failed' ? 'bad' : 'todo' }}">
                    @if ($one->state === 'asked')
                        <a href="{{ route('drift') }}">{{ trans_choice('publishing.runs.asked', $one->steps) }}</a>
                    @else
                        {{ __($one->state === 'failed' ? 'run.failed' : 'run.soon') }}
                    @endif
                </td>
            </tr>
        @endforeach
    </tbody>
</table>
