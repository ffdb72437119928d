@props(['page', 'n'])
<x-app :title="__('presence.missed.title', ['day' => Say::day($page->day)])">
    <x-page-head :title="__('presence.missed.title', ['day' => Say::day($page->day)])">
        <x-slot:sum>{{ trans_choice('presence.missed.sum', count($page->rows)) }}</x-slot:sum>
        <a class="pill" href="{{ route('missed', ['date' => $page->day->plus(-1)->iso()]) }}">‹ {{ Say::day($page->day->plus(-1)) }}</a>
        <a class="pill" href="{{ route('missed', ['date' => $page->day->plus(1)->iso()]) }}">{{ Say::day($page->day->plus(1)) }} ›</a>
    </x-page-head>
    @if ($page->rows === [])
        <x-empty :title="__('presence.missed.none')">{{ __('presence.missed.none_hint') }}</x-empty>
    @else
        @if ($page->students() !== [])
            <p class="mt-2"><x-act :to="route('missed.write')" :with="['date' => $page->day->iso()]" class="btn-main"
                :do="trans_choice('presence.missed.write', count($page->students()))" />
                <span class="quiet ms-2">{{ __('presence.missed.write_hint') }}</span>
            </p>
        @endif
        <table class="table-plain">
            <thead>
                <tr>
                    <th scope="col">{{ __('presence.missed.student') }}</th>
                    <th scope="col">{{ __('presence.missed.what') }}</th>
                    <th scope="col">{{ __('presence.missed.guardians') }}</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($page->page($n) as $row)
                    <tr>
                        <th scope="row"><a href="{{ route('attendance.student', $row->pupil->sourcedId) }}">{{ $row->pupil->name }}</a>
                            @if ($row->isIssue())
                                <b class="bad small">{{ trans_choice('presence.section.running', $row->running) }}</b>
                            @endif
                        </th>
                        <td>
                            @foreach ($row->missed as $one)
                                <a class="me-3" href="{{ route('attendance.session', [$one->section, $one->id]) }}">{{ $one->time }}
                                    {{ $one->name }}</a>
                                @if ($one->isExcused)
                                    <small class="quiet">{{ __('attendance.status.excused') }}</small>
                                @endif
                            @endforeach
                        </td>
                        <td>{{ $row->isWritten ? __('presence.missed.written') : ($row->guardians === 0 ? __('presence.missed.no_guardian')
                            : $row->guardians) }}
                        </td>
                    </tr>
                @endforeach
            </tbody>
        </table>
        @if ($page->pages() > 1)
            <p class="mt-2">
                @for ($i = 1; $i <= $page->pages(); $i++)
                    <a @class(['pill', 'on' => $i === $n]) href="{{ route('missed', ['date' => $page->day->iso(), 'page' => $i]) }}"
                        aria-label="{{ __('account.people.page', ['page' => $i, 'pages' => $page->pages()]) }}">{{ $i }}</a>
                @endfor
            </p>
        @endif
    @endif
</x-app>
