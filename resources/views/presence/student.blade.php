@props(['page', 'mayTell'])
<x-app :title="__('attendance.student.title', ['name' => $page->student->name()])">
    <x-page-head :title="$page->student->name()" :sum="__('attendance.student.page')">
        <a class="pill" href="{{ route('person', $page->student->sourced_id) }}">{{ $page->student->name() }}</a>
    </x-page-head>
    <div class="columns">
        <section><x-presence-student :page="$page" staff /></section>
        <x-card :title="__('attendance.absence.title')">
            <ul class="places">
                @forelse ($page->told as $one)
                    <li><b>{{ $one->from->day === $one->to->day
                        ? Say::day($one->from)
                        : __('attendance.absence.until', ['from' => Say::day($one->from), 'to' => Say::day($one->to)]) }}</b>
                        <span class="quiet">{{ $one->why }}
                            {{ $one->by === '' ? '' : __('attendance.absence.by', ['name' => $one->by]) }}</span>
                        @if ($mayTell)
                            <x-act :to="route('absences.take-back', [$page->student->sourced_id, $one->id])" method="delete"
                                class="btn-plain py-0" :do="__('attendance.absence.take_back')" :about="Say::day($one->from)" />
                        @endif
                    </li>
                @empty
                    <li class="quiet">{{ __('attendance.absence.none') }}</li>
                @endforelse
            </ul>
            @if ($mayTell)
                <h3 class="mt-3">{{ __('attendance.absence.tell') }}</h3>
                <x-absence-form :to="route('absences.tell', $page->student->sourced_id)" />
            @endif
        </x-card>
    </div>
</x-app>
