{{-- What can be changed of a session that is to come --}}
@include('timetable.panel.move')
<div>
    @include('timetable.panel.told')
    @include('timetable.panel.cancel')
</div>
