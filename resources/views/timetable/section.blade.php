@props(['page'])
<x-app :title="$page->section->name()">
    <x-page-head :title="$page->section->name()">
        <x-slot:sum>@include('timetable.section.sum')</x-slot:sum>
        <a class="pill" href="{{ route('attendance', $page->section) }}">{{ __('attendance.student.page') }}</a>
        @if ($page->mayPlan)
            <a class="btn btn-side" href="{{ route('section', [$page->section, 'change' => 'new']) }}">{{ __('section.add_series') }}</a>
            <a class="btn btn-plain"
                href="{{ route('section', [$page->section, 'change' => 'to-place']) }}#to-place">{{ __('to_place.add') }}</a>
        @endif
    </x-page-head>
    @include('timetable.section.line')
    @if ($page->editor !== null)
        @include('timetable.editor', ['editor' => $page->editor])
    @endif
    @if ($page->panel !== null)
        @include('timetable.panel', [
            'panel' => $page->panel,
            'close' => route('section', $page->section),
            'note' => $page->teacherNote,
        ])
    @else
        <x-faults class="fault" :of="['move_day', 'move_start', 'move_end', 'reach']" />
    @endif
    <x-faults class="fault" :of="['reason', 'session', 'change', 'share', 'person', 'rule', 'topics', 'makes_up']" />
    @if ($page->issues !== [])
        <ul class="legend" aria-label="{{ __('section.issues') }}">
            @foreach ($page->issues as $issue)
                <li><span class="{{ $issue->isWrong ? 'bad' : 'todo' }}">{{ Say::this($issue->words) }}</span></li>
            @endforeach
        </ul>
    @endif
    <div class="columns mt-2">
        <div>
            @if ($page->plan->toPlace !== [] || $page->plan->isAdding)
                @include('timetable.section.to-place')
            @endif
            @forelse ($page->plan->series as $card)
                @include('timetable.section.series', ['card' => $card])
            @empty
                @includeWhen($page->plan->toPlace === [] && !$page->plan->isAdding, 'timetable.section.no-series')
            @endforelse
            @if ($page->plan->requests !== [])
                @include('timetable.section.requests')
            @endif
            @if ($page->plan->changes !== [])
                @include('timetable.section.history')
            @endif
        </div>
        <div>
            @include('timetable.section.contact')
            @include('timetable.section.joining')
            @include('timetable.section.registration')
            @include('registration.answers', ['answers' => $page->people->answers])
            @include('timetable.section.people')
            @include('timetable.section.publishing')
            @can('serve', $page->section)
                @include('publishing.materials', [
                    'section' => $page->section,
                    'materials' => $page->published->materials,
                    'sessions' => $page->published->ahead,
                ])
                @include('timetable.section.reminders')
            @endcan
            @include('timetable.section.feeds')
        </div>
    </div>
    <x-slot:keys>
        <dt><kbd>Tab</kbd></dt>
        <dd>{{ __('section.keys.tab') }}</dd>
    </x-slot:keys>
</x-app>
