<?php

return [
    'title' => 'Recordatorios',
    'section' => 'A los estudiantes de este grupo se les recuerda',
    'own' => 'Se me recuerdan las sesiones',
    'as_section' => 'como digan mis grupos',
    'choices' => [
        'none' => 'nunca',
        'evening' => 'la tarde anterior, por carta',
        'hours-2' => 'dos horas antes, por carta',
        'hours-1' => 'una hora antes, por carta',
        'calendar-60' => 'por mi calendario, una hora antes',
        'calendar-10' => 'por mi calendario, diez minutos antes',
    ],
    'keep' => 'Guardar',
    'kept' => 'Guardado.',
    'fault' => 'Elige uno de los que aparecen en la lista.',
    'hint' => 'Cada estudiante puede elegir otra cosa en su página.',
    'calendar_hint' => 'El calendario es el de tu dirección secreta.',
    'console' => '{0} no hay que recordar nada a nadie|{1} un recordatorio escrito|[2,*] :count recordatorios escritos',
];
