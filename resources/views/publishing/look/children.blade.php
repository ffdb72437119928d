{{-- A guardian has no sessions: what they read is of their children --}}
<x-card class="mt-3" :title="__('publishing.look.children')">
    <p class="quiet">{{ __('publishing.look.children_hint') }}</p>
    <ul class="places">
        @foreach ($page->children as $id => $name)
            <li><b>{{ $name }}</b>
                <a href="{{ route('look', $id) }}"
                    aria-label="{{ __('publishing.look.link', ['name' => $name]) }}">{{ __('publishing.look.go') }}</a>
                <a href="{{ route('attendance.student', $id) }}"
                    aria-label="{{ __('publishing.look.attendance_of', ['name' => $name]) }}">{{ __('attendance.student.page') }}</a>
            </li>
        @endforeach
    </ul>
</x-card>
