{{-- How the run stands --}}
<p class="mt-3 mb-0" role="status">
    @switch($page->state())
        @case('halted')
            <b class="todo" data-over>{{ __('publishing.runs.halted') }}</b>
            {{ trans_choice('run.steps_done', $page->all, ['n' => $page->done]) }}
        @break

        @case('later')
            <b data-over>{{ __('publishing.later.hint') }}</b>
        @break

        @case('running')
            <b>{{ trans_choice($page->isOfLinks() ? 'run.of_links' : 'run.of_placements', $page->all, ['n' => $page->done]) }}</b>
            <span class="quiet">{{ __('run.leave') }}</span>
        @break

        @case('failed')
            @if ($page->asked > 0)
                <a class="todo" href="{{ route('drift') }}">{{ trans_choice('publishing.runs.asked', $page->asked) }}</a>,
            @endif
            <b class="{{ $page->failed > 0 ? 'bad' : 'quiet' }}"
                @if ($page->isSettled()) data-over @endif>{{ trans_choice('run.steps_failed', $page->failed) }}</b>,
            {{ trans_choice('run.done_in', max(1, $page->seconds), ['n' => $page->done]) }}
        @break

        @default
            <b class="good"
                @if ($page->isSettled()) data-over @endif>{{ trans_choice($page->isOfLinks() ? 'run.all_links' : 'run.all_stand',
                    $page->done) }}</b>
            <span class="quiet">{{ trans_choice('run.in', max(1, $page->seconds)) }}</span>
    @endswitch
</p>
