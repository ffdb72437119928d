@props(['page'])
<x-outside :title="__('attendance.children.title')">
    <h1>{{ __('attendance.children.title') }}</h1>
    @if (session('said'))
        <p class="said" role="status">{{ session('said') }}</p>
    @endif
    @forelse ($page->children as $child)
        <h2 class="mt-4">{{ $child->student->name() }}</h2>
        <x-presence-student :page="$child" />
        <h3 class="mt-3">{{ __('attendance.absence.tell') }}</h3>
        @foreach ($child->told as $one)
            @if (!$one->isOver)
                <p class="mb-1">
                    {{ $one->from->day === $one->to->day
                        ? Say::day($one->from)
                        : __('attendance.absence.until', [
                            'from' => Say::day($one->from),
                            'to' => Say::day($one->to),
                        ]) }}
                    <span class="quiet">{{ $one->why }}</span>
                </p>
            @endif
        @endforeach
        <x-absence-form :to="$page->tell()" :who="$child->student->sourced_id" />
    @empty
        <x-empty :title="__('attendance.children.none')">{{ __('attendance.children.none_hint') }}</x-empty>
    @endforelse
</x-outside>
