{{-- One student over all sections. page: StudentPage; staff: whether names lead further --}}
@props(['page', 'staff' => false])
@if ($page->sections === [])
    <x-empty :title="__('attendance.student.none')">{{ __('attendance.student.none_hint') }}</x-empty>
@else
    <table class="table-plain">
        <thead>
            <tr>
                <th scope="col">{{ __('attendance.student.section') }}</th>
                <th scope="col">{{ __('attendance.student.came') }}</th>
                <th scope="col" class="num">{{ __('attendance.student.lates') }}</th>
                <th scope="col" class="num">{{ __('attendance.student.absent') }}</th>
                <th scope="col" class="num">{{ __('attendance.student.minutes') }}</th>
            </tr>
        </thead>
        <tbody>
            @foreach ($page->sections as $one)
                <tr>
                    <th scope="row">
                        @if ($staff)
                            <a href="{{ route('attendance', $one->id) }}">{{ $one->name }}</a>
                        @else
                            {{ $one->name }}
                        @endif
                        @if ($one->running >= Nomada\Core\Presence\AbsenceStreak::ISSUE)
                            <b class="bad small">{{ trans_choice('attendance.student.running', $one->running) }}</b>
                        @endif
                    </th>
                    <td>{{ __('attendance.student.of', [
                        'came' => $one->counts['present'] + $one->counts['late'] + $one->counts['partial'],
                        'all' => array_sum($one->counts) - $one->counts['excused'],
                    ]) }}
                    </td>
                    <td class="num">{{ $one->counts['late'] ?: '' }}</td>
                    <td class="num">{{ $one->counts['absent'] ?: '' }}</td>
                    <td class="num">{{ Words::minutes($one->minutes) }}</td>
                </tr>
            @endforeach
        </tbody>
    </table>
@endif
<h2 class="mt-3">{{ __('attendance.student.missed') }}</h2>
<ul class="places">
    @forelse ($page->missed as [$session, $one, $name])
        <li><b>{{ $name }}</b><span>{{ Say::day($page->zone->dateAt($session->start)) }}
                {{ $page->zone->clock($session->start) }}
                {{ $session->topic === '' ? '' : "· $session->topic" }}</span>
            <span @class(['bad' => $one->status()->value === 'absent'])>{{ __('attendance.status.' . $one->status()->value) }}</span>
        </li>
    @empty
        <li class="quiet">{{ __('attendance.student.nothing_missed') }}</li>
    @endforelse
</ul>
