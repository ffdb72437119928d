@props(['page', 'mayTell'])
<x-app :title="__('presence.student.title', ['name' => $page->student->name()])">
    <x-page-head :title="$page->student->name()" :sum="__('presence.student.page')">
        <a class="pill" href="{{ route('person', $page->student->sourced_id) }}">{{ $page->student->name() }}</a>
    </x-page-head>
    <div class="columns">
        <section><x-presence-student :page="$page" staff /></section>
        <x-card :title="__('presence.absence.title')">
            <ul class="places">
                @forelse ($page->told as $one)
                    <li><b>{{ $one->from->day === $one->to->day ? $one->from->short() : __('presence.absence.until', ['from' =>
                        $one->from->short(), 'to' => $one->to->short()]) }}</b>
                        <span class="quiet">{{ $one->why }}
                            {{ $one->by === '' ? '' : __('presence.absence.by', ['name' => $one->by]) }}</span>
                        @if ($mayTell)
                            <x-act :to="route('absences.take-back', [$page->student->sourced_id, $one->id])" method="delete"
                                class="btn-plain py-0" :do="__('presence.absence.take_back')" :about="$one->from->short()" />
                        @endif
                    </li>
                @empty
                    <li class="quiet">{{ __('presence.absence.none') }}</li>
                @endforelse
            </ul>
            @if ($mayTell)
                <h3 class="mt-3">{{ __('presence.absence.tell') }}</h3>
                <x-absence-form :to="route('absences.tell', $page->student->sourced_id)" />
            @endif
        </x-card>
    </div>
</x-app>
