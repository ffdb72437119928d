@php use Nomada\App\Support\Words; @endphp
<p class="mt-3 mb-0" role="status">
    @if ($run->halted_at !== null)
        <b class="todo" data-over>{{ __('publishing.runs.halted') }}</b> {{ $done }} of {{ Words::count($all, 'step') }} done.
    @elseif ($run->scope !== null)
        <b data-over>{{ __('publishing.later.hint') }}</b>
    @elseif (!$isOver)
        <b>{{ $done }} of {{ Words::count($all, $run->kind === 'links' ? 'link' : 'placement') }}</b> <span class="quiet">You can
            leave this page; it goes on.</span>
    @elseif ($failed > 0 || $asked > 0)
        @if ($asked > 0)
            <a class="todo" href="{{ route('drift') }}">{{ trans_choice('publishing.runs.asked', $asked) }}</a>,
        @endif
        <b class="{{ $failed > 0 ? 'bad' : 'quiet' }}" data-over>{{ Words::count($failed, 'step') }} failed</b>, {{ $done }} done in
        {{ Words::count(max(1, $seconds), 'second') }}.
    @else<b class="good"
            data-over>{{ $run->kind === 'links'
                ? 'All ' . Words::count($done, 'link') . ' made'
                : 'All ' . Words::count($done, 'placement') . ' stand as they should' }}</b>
        <span class="quiet">in {{ Words::count(max(1, $seconds), 'second') }}.</span>
    @endif
</p>
@if ($run->truth !== null && $isOver)
    <p class="mb-0"><b class="{{ $run->truth === 0 ? 'good' : 'bad' }}">{{ trans_choice('publishing.truth.sum', $run->truth) }}</b></p>
@endif
<div class="lanes">
    @foreach ($lanes as $lane)
        <div class="lane">
            <h2>{{ $lane['title'] }}</h2><progress max="{{ max(1, $lane['all']) }}"
                value="{{ $lane['all'] === 0 ? 1 : $lane['done'] + $lane['failed'] + $lane['asked'] }}"
                aria-label="{{ $lane['title'] }}"></progress>
            <span class="quiet">{{ $lane['all'] === 0 ? 'nothing to do' : "{$lane['done']} of {$lane['all']} done" }}</span>
            @if ($lane['failed'] > 0)
                <span class="bad">{{ $lane['failed'] }} failed</span>
            @endif
        </div>
    @endforeach
</div>
@if ($troubles !== [])
    <h2 class="mb-1">In the destinations' own words</h2>
    <table class="table-plain mb-3">
        <thead>
            <tr>
                <th scope="col">Section</th>
                <th scope="col">Where</th>
                <th scope="col">What</th>
                <th scope="col">It said</th>
                <th scope="col">Tries</th>
                <th scope="col"></th>
            </tr>
        </thead>
        <tbody>
            @foreach ($troubles as $step)
                <tr>
                    <td><a href="{{ route('section', $step->section) }}">{{ $step->name }}</a>
                        @if ($step->sections > 1)
                            <span class="quiet">{{ __('publishing.drift.more', ['n' => $step->sections - 1]) }}</span>
                        @endif
                    </td>
                    <td>{{ $lanes[$step->lane]['title'] }}</td>
                    <td>{{ $step->verb }} {{ $step->label }}
                        @if ($step->steps > 1)
                            <b class="d-block">{{ trans_choice('publishing.runs.folded', $step->steps) }}</b>
                        @endif
                    </td>
                    <td>{{ $step->words }}</td>
                    <td class="num">{{ $step->tries }}</td>
                    <td class="{{ $step->state === 'failed' ? 'bad' : 'todo' }}">
                        @if ($step->state === 'asked')
                            <a href="{{ route('drift') }}">{{ trans_choice('publishing.runs.asked', $step->steps) }}</a>
                        @else
                            {{ $step->state === 'failed' ? 'failed' : 'tried again soon' }}
                        @endif
                    </td>
                </tr>
            @endforeach
        </tbody>
    </table>
@endif
@if ($isOver && $failed > 0)
    <form method="post" action="{{ route('run.again', $run) }}" class="mb-3">@csrf<button class="btn btn-main">Try the rest
            again</button></form>
@endif
<table class="table-plain">
    <thead>
        <tr>
            <th scope="col">Section</th>
            <th scope="col" class="num">Steps</th>
            <th scope="col" class="num">Done</th>
            <th scope="col">How it stands</th>
        </tr>
    </thead>
    <tbody>
        @foreach ($sections as $s)
            <tr>
                <td><a href="{{ route('section', $s->sourced_id) }}">{{ $s->year === '' ? '' : "Y$s->year " }}{{ $s->title }}</a>
                </td>
                <td class="num">{{ $s->all }}</td>
                <td class="num">{{ $s->done }}</td>
                <td class="{{ $s->failed > 0 ? 'bad' : ($s->done < $s->all ? 'quiet' : 'good') }}">
                    {{ $s->asked > 0
                        ? trans_choice('publishing.runs.asked', $s->asked)
                        : ($s->failed > 0
                            ? "$s->failed failed"
                            : ($s->done < $s->all
                                ? 'waiting'
                                : ($run->kind === 'links'
                                    ? 'linked'
                                    : 'published'))) }}
                </td>
            </tr>
        @endforeach
    </tbody>
</table>
