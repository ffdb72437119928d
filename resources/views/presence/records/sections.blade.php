{{-- Each section's sums of the term. page: Records --}}
<h2 class="mt-4">{{ __('presence.records.sums') }}</h2>
<table class="table-plain">
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
        @foreach ($page->sections as $one)
            <tr>
                <td><a href="{{ route('attendance', $one->id) }}"><b>{{ $one->name }}</b></a></td>
                @foreach ([$one->time->planned, $one->time->held, $one->time->lost, $one->time->madeUp] as $minutes)
                    <td class="num">{{ $minutes === 0 ? '' : Nomada\App\Support\Words::minutes($minutes) }}</td>
                @endforeach
                <td class="num">{{ $one->share() === null ? '' : $one->share() . ' %' }}</td>
                <td class="num">{{ $one->absent ?: '' }}</td>
                <td>
                    @if ($one->toRelease > 0)
                        <span class="todo">{{ trans_choice('presence.records.to_release', $one->toRelease) }}</span>
                    @endif
                    @if ($one->untold() > 0)
                        <span class="todo">{{ trans_choice('presence.records.untold', $one->untold()) }}</span>
                    @endif
                </td>
            </tr>
        @endforeach
    </tbody>
</table>
