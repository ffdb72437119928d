{{-- One student over all sections. page: StudentPage; staff: whether names lead further --}}
@props(['page', 'staff' => false])
@if ($page->sections === [])
    <x-empty :title="__('presence.student.none')">{{ __('presence.student.none_hint') }}</x-empty>
@else
    <table class="table-plain">
        <thead>
            <tr>
                <th scope="col">{{ __('presence.student.section') }}</th>
                <th scope="col">{{ __('presence.section.came') }}</th>
                <th scope="col" class="num">{{ __('presence.section.lates') }}</th>
                <th scope="col" class="num">{{ __('presence.section.absent') }}</th>
                <th scope="col" class="num">{{ __('presence.section.minutes') }}</th>
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
                        @if ($one->running >= Nomada\Core\Presence\Running::SNAG)
                            <b class="bad small">{{ __('presence.section.running', ['count' => $one->running]) }}</b>
                        @endif
                    </th>
                    <td>{{ __('presence.section.of', [
                        'came' => $one->counts['present'] + $one->counts['late'] + $one->counts['partial'],
                        'all' => array_sum($one->counts) - $one->counts['excused'],
                    ]) }}
                    </td>
                    <td class="num">{{ $one->counts['late'] ?: '' }}</td>
                    <td class="num">{{ $one->counts['absent'] ?: '' }}</td>
                    <td class="num">{{ Nomada\App\Support\Words::minutes($one->minutes) }}</td>
                </tr>
            @endforeach
        </tbody>
    </table>
@endif
<h2 class="mt-3">{{ __('presence.student.missed') }}</h2>
<ul class="places">
    @forelse ($page->missed as [$session, $one, $name])
        <li><b>{{ $name }}</b><span>{{ $page->zone->dateAt($session->start)->short() }} {{ $page->zone->clock($session->start) }}
                {{ $session->topic === '' ? '' : "· $session->topic" }}</span>
            <span @class(['bad' => $one->status()->value === 'absent'])>{{ __('presence.status.' . $one->status()->value) }}</span>
        </li>
    @empty
        <li class="quiet">{{ __('presence.student.nothing_missed') }}</li>
    @endforelse
</ul>
