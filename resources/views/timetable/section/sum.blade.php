{{-- When it meets, who teaches it, how many students --}}
{{ $page->meets === '' ? __('section.no_timetable') : $page->meets . ' ' . $page->place }}
· @foreach ($page->teachers as $one)
    {{ $one->shortName }}{{ $one->isTeacher() ? '' : ' (' . __('section.people.roles.' . $one->role->value) . ')' }}{{ $loop->last ? ''
        : ', ' }}
@endforeach · {{ trans_choice('count.students', $page->status->roster) }}
